/** What stands in the way, in words; nothing where nothing does. */
export function Problem({ words }: { words: string }) {
  return words ? (
    <p className="mt-3 border border-madder bg-sheet p-3" role="alert">
      {words}
    </p>
  ) : null;
}
