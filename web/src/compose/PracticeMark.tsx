/** Stands on every screen of practice, by its shape and its words. */
export function PracticeMark() {
  return (
    <p className="mb-3 border-2 border-slate border-dashed bg-sheet px-3 py-1.5 text-sm" role="note">
      <b>△ Practice.</b> Nothing that is written here leaves this device or reaches the record.
    </p>
  );
}
