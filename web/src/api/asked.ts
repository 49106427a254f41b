interface Answer<T> {
  data?: T;
  error?: unknown;
}

export interface Asked<T> {
  data: T | undefined;
  /** Empty where it went well. */
  problem: string;
}

const UNREACHED = 'The server cannot be reached. Nothing was changed; what you wrote stays here.';

/** Asks the server; what went wrong comes back in words, also where there is no signal. */
export async function asked<T>(ask: () => Promise<Answer<T>>, unreached = UNREACHED): Promise<Asked<T>> {
  try {
    const { data, error } = await ask();
    return { data, problem: data === undefined ? wordsOf(error) : '' };
  } catch {
    return { data: undefined, problem: unreached };
  }
}

function wordsOf(problem: unknown): string {
  const { title, detail } = (problem ?? {}) as { title?: string; detail?: string };
  return [title ?? 'The server could not do this.', detail].filter(Boolean).join(' ');
}
