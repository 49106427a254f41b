/** A button that chooses a table; choosing the same file again looks at it again. */
export function FileChoice({
  chosen,
  next = false,
  onChoose,
}: {
  chosen: File | undefined;
  /** True where it is the step to take. */
  next?: boolean;
  onChoose(file: File | undefined): void;
}) {
  return (
    <>
      <label className={`act mt-4 cursor-pointer ${next ? 'act-next' : ''}`}>
        {chosen ? 'Another file…' : 'Choose a file…'}
        <input
          type="file"
          className="sr-only"
          accept=".csv,.txt,.tsv,text/csv"
          onChange={(event) => {
            onChoose(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </label>
      {chosen && <span className="ml-3 text-dim">{chosen.name}</span>}
    </>
  );
}
