/** Marks what no real instrument has said. */
export function Simulated() {
  return <span className="ml-2 border border-dim px-1.5 py-0.5 font-normal text-dim text-sm">simulated</span>;
}
