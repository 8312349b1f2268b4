import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { FolderInUse, lockFolder } from './lock';

const folder = () => mkdtempSync(path.join(tmpdir(), 'fair-grey-lock-'));
const file = (f: string) => path.join(f, 'in-use');

test('a lock is given back', () => {
  const f = folder();
  const unlock = lockFolder(f);
  expect(JSON.parse(readFileSync(file(f), 'utf8'))).toMatchObject({ pid: process.pid });
  unlock();
  expect(existsSync(file(f))).toBe(false);
});

test('a folder that a living process holds is refused, with what to do', () => {
  const f = folder();
  const other = spawn(process.execPath, ['-e', 'setTimeout(() => {}, 60000)']);
  try {
    writeFileSync(file(f), JSON.stringify({ pid: other.pid, started: null }));
    expect(() => lockFolder(f)).toThrow(FolderInUse);
    expect(() => lockFolder(f)).toThrow(/Stop it first/);
  } finally {
    other.kill('SIGKILL');
  }
});

test('a lock left by a killed process is taken over', () => {
  const f = folder();
  const { pid } = spawnSync(process.execPath, ['-e', '']);
  writeFileSync(file(f), JSON.stringify({ pid, started: '1' }));
  lockFolder(f)();
});

test('a pid that was given out again is not the process that locked', () => {
  const f = folder();
  writeFileSync(file(f), JSON.stringify({ pid: process.ppid, started: 'another time' }));
  lockFolder(f)();
});

test('a lock cut off while it was written is nobody’s', () => {
  const f = folder();
  writeFileSync(file(f), '{"pid":12');
  lockFolder(f)();
});
