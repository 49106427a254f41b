/** The year that is looked at. */
export function YearChoice({ year, years, onYear }: { year: number; years: number[]; onYear(year: number): void }) {
  return (
    <label className="print:hidden">
      <span className="sr-only">Year</span>
      <select className="field w-auto font-bold" value={year} onChange={(event) => onYear(Number(event.target.value))}>
        {years.map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
      </select>
    </label>
  );
}
