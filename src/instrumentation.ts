/** Runs once in each process of the application, before it answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ keepClear }, { secrets }] = await Promise.all([
    import('./server/upkeep'),
    import('./server/auth/secrets'),
  ]);
  // Better not to start than to find out at the first sign-in.
  secrets();
  keepClear();
}

/** Errors of pages go into the log as all others do: where they happened, without what anybody typed. */
export async function onRequestError(error: unknown, request: { path: string }): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { log } = await import('./server/log');
  log.error({ err: error, path: request.path.split('?')[0] }, 'page failed');
}
