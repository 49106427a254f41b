export function WatersPage() {
  return null;
}
