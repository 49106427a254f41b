/** The mark of Upper Still: light water above, dark below. */
export function Mark() {
  return (
    <svg viewBox="0 0 28 28" width="28" height="28" aria-hidden="true">
      <circle cx="14" cy="14" r="12" fill="var(--sheet)" />
      <path d="M2 14a12 12 0 0 0 24 0z" fill="var(--slate)" />
      <circle cx="14" cy="14" r="12" fill="none" stroke="var(--ink)" strokeWidth="2" />
      <path d="M2 14h24" stroke="var(--ink)" strokeWidth="2" />
    </svg>
  );
}
