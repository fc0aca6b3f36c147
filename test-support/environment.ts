/** Gives every application that is started from here what it needs beside its database: made-up secrets, all devices let in. */
export function prepareEnvironment(): void {
  Object.assign(process.env, {
    HEFETEIG_SESSION_KEYS: 'only-for-tests-session-key-0123456789',
    HEFETEIG_PEPPER: 'only-for-tests-pepper-0123456789abcdef',
    HEFETEIG_ENROL: 'loopback',
  });
}
