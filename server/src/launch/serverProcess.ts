import { spawn, type ChildProcess } from 'node:child_process';
import { createInterface } from 'node:readline';

export interface ServerProcess {
  readonly child: ChildProcess;
  readonly port: number;
}

/** Starts the bundled server and waits for its `ready` line. In a group of its own, so that its starter stops it in order. */
export function startServer(bundle: string, env: Record<string, string>): Promise<ServerProcess> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [bundle], {
      env: { ...process.env, ...env, WHITE_EMBER_STOP_WITH_STARTER: '1' },
      // Its standard input ends when its starter is gone, however it went: then it stops too and frees its port.
      stdio: ['pipe', 'pipe', 'inherit'],
      detached: true,
    });
    child.once('error', reject);
    child.once('exit', (code) =>
      reject(new Error(`The server stopped while starting (exit status ${code ?? 'none'}).`)),
    );
    createInterface({ input: child.stdout }).once('line', (line) => {
      child.removeAllListeners('exit');
      resolve({ child, port: Number(line.split(' ')[1]) });
    });
  });
}

/** Ends what is left of a server's group: readers of files that it had started. */
export function killGroup(pid: number | undefined): void {
  if (pid === undefined) return;
  try {
    process.kill(-pid, 'SIGKILL');
  } catch {
    // Nobody is left.
  }
}

export async function stopServer(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  const timer = setTimeout(() => child.kill('SIGKILL'), 8000);
  await gone;
  clearTimeout(timer);
  killGroup(child.pid);
}
