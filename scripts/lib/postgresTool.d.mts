export function postgresTool(
  program: string,
  address: string,
  args: readonly string[],
): Promise<{ readonly ok: boolean; readonly why: string }>;
