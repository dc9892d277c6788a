// Child processes that end with us, by id.
import { spawn } from 'node:child_process';
import { ROOT } from './paths.mjs';
import { stop } from './say.mjs';

const running = new Set();

/** Runs a command to its end; its output is shown unless `quiet`, and shown on failure in any case. */
export function command(
  file,
  args,
  { quiet = false, env = {}, allowFailure = false, cwd = ROOT, as = {} } = {},
) {
  return new Promise((resolve, reject) => {
    const child = spawn(file, args, {
      cwd,
      ...as,
      env: { ...process.env, ...env },
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
    });
    running.add(child);
    let output = '';
    child.stdout?.on('data', (data) => (output += data));
    child.stderr?.on('data', (data) => (output += data));
    child.once('error', reject);
    child.once('close', (code, signal) => {
      running.delete(child);
      if (code === 0 || allowFailure) resolve({ code, output });
      else
        reject(
          new Error(
            `${file.split('/').at(-1)} ${args[0] ?? ''} ended with ${signal ?? code}\n${output.trim()}`,
          ),
        );
    });
  });
}

/** Starts a program that stays; resolves when a line of its output matches `ready`. */
export function service(name, file, args, { env = {}, ready, options = {}, show = false, ownGroup = false }) {
  return new Promise((resolve, reject) => {
    const child = spawn(file, args, {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
      // A Ctrl-C reaches the whole foreground group; what must outlive it for a moment has its own.
      detached: ownGroup,
      ...options,
    });
    running.add(child);
    let output = '';
    let isReady = false;
    const read = (data) => {
      if (show && isReady) process.stdout.write(data);
      if (isReady) return;
      output += data;
      if (ready.test(output)) {
        isReady = true;
        resolve(child);
      }
    };
    child.stdout.on('data', read);
    child.stderr.on('data', read);
    child.once('error', reject);
    child.once('exit', (code, signal) => {
      running.delete(child);
      if (!isReady) reject(new Error(`${name} did not start (${signal ?? code}).\n${output.trim()}`));
    });
  });
}

/** Asks a process to end and waits for it; after ten seconds it is ended. */
export function end(child, signal = 'SIGTERM') {
  if (child === null || child === undefined || child.exitCode !== null || child.signalCode !== null) {
    return Promise.resolve();
  }
  return new Promise((resolve) => {
    const hard = setTimeout(() => child.kill('SIGKILL'), 10_000);
    child.once('exit', () => {
      clearTimeout(hard);
      resolve();
    });
    child.kill(signal);
  });
}

export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** Calls `close` once, on Ctrl-C, on a polite end, or when `main` is through. */
export function closeOnEnd(close) {
  let closing = null;
  const once = () => (closing ??= close());
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
    process.on(signal, () => {
      // What was only just starting is not known to `close`, and must not stay behind.
      const leave = () => running.forEach((child) => child.kill('SIGINT'));
      void once().finally(() => {
        leave();
        process.exit(signal === 'SIGINT' ? 130 : 143);
      });
    });
  }
  return once;
}

export function needNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    stop(`Itinerary needs Node 20.19 or later; this is ${process.versions.node}.`);
  }
}
