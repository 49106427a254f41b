/** "3 h 20 min" between two instants; what is under a minute counts as none. */
export function since(from: string, to: string): string {
  const minutes = Math.max(0, Math.floor((Date.parse(to) - Date.parse(from)) / 60_000));
  if (minutes < 60) {
    return `${minutes} min`;
  }
  const hours = Math.floor(minutes / 60);
  return hours < 48 ? `${hours} h ${minutes % 60} min` : `${Math.floor(hours / 24)} days`;
}
