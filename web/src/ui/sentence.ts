/** A name as it begins a sentence or a title. */
export function sentence(name: string): string {
  return name.charAt(0).toUpperCase() + name.slice(1);
}
