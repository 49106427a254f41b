let handed: File | undefined;

/** A results file handed from one page to the next. */
export function handFile(file: File): void {
  handed = file;
}

/** The file that was handed on, once. */
export function takeFile(): File | undefined {
  const file = handed;
  handed = undefined;
  return file;
}
