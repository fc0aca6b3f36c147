import { spawn, type ChildProcess } from 'node:child_process';

/** One database on a server, as MariaDB's own programs want to be told of it. */
interface Address {
  options: string[];
  name: string;
  env: NodeJS.ProcessEnv;
}

/** The password goes by the environment: a command line is read by everybody on the machine. */
function addressOf(url: string): Address {
  const { hostname, port, username, password, pathname } = new URL(url);
  return {
    options: [
      '--no-defaults',
      '--protocol=tcp',
      `--host=${hostname}`,
      `--port=${port || '3306'}`,
      `--user=${decodeURIComponent(username)}`,
      '--default-character-set=utf8mb4',
    ],
    name: decodeURIComponent(pathname.slice(1)),
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  };
}

/** A program at work on a database; `done` fails with what it complained of. */
interface Work {
  process: ChildProcess;
  done: Promise<void>;
}

function start(program: string, url: string, more: readonly string[]): Work {
  const { options, name, env } = addressOf(url);
  const child = spawn(program, [...options, ...more, name], { env, stdio: ['pipe', 'pipe', 'pipe'] });
  let complaint = '';
  child.stderr.on('data', (part: Buffer) => (complaint += part.toString()));
  const done = new Promise<void>((well, badly) => {
    child.on('error', ({ message }) => badly(new Error(`${program} could not be started: ${message}`)));
    child.on('close', (code) =>
      code === 0 ? well() : badly(new Error(`${program} ended with ${code}: ${complaint.trim()}`)),
    );
  });
  return { process: child, done };
}

/**
 * Writes out a database as it is at one moment, while others write on: schema, triggers and rows, one row a line. Photos are
 * rows too, in hexadecimal.
 */
export const dump = (url: string): Work =>
  start('mariadb-dump', url, [
    ...['--single-transaction', '--skip-lock-tables', '--no-tablespaces', '--triggers', '--hex-blob'],
    // One row a line, so that rows are counted while they go by; a transaction for each table, so that it is read back fast.
    ...['--skip-extended-insert', '--no-autocommit', '--order-by-primary'],
  ]);

/** Reads such a text into a database. */
export const load = (url: string): Work => start('mariadb', url, ['--batch', '--max-allowed-packet=64M']);
