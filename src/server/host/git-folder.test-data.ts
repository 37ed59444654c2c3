import { execFileSync } from 'node:child_process';

/** Puts a folder under version control as it stands; answers the lines that were changed since, with `-` or `+` before each. */
export function underVersionControl(folder: string): () => string[] {
  const git = (...args: string[]) =>
    execFileSync('git', ['-c', 'user.name=A', '-c', 'user.email=a@a.example', ...args], {
      cwd: folder,
      encoding: 'utf8',
    });
  git('init', '--quiet');
  git('add', '.');
  git('commit', '--quiet', '--allow-empty', '--message', 'As it was');
  return () =>
    git('diff', '--unified=0')
      .split('\n')
      .filter((line) => /^[-+](?![-+]{2})/.test(line));
}
