/** What sends a file as it is, not as JSON. */
export function rawFile(file: File, type = 'text/csv') {
  return { body: file as never, bodySerializer: (body: unknown) => body as never, headers: { 'Content-Type': type } };
}
