import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { transform } from 'esbuild';

/** @type {import('node:module').LoadHook} */
export async function load(url, context, nextLoad) {
  if (!url.startsWith('file:') || !/\.ts(?:\?|$)/.test(url)) return nextLoad(url, context);
  const file = fileURLToPath(url);
  const { code } = await transform(await readFile(file, 'utf8'), {
    loader: 'ts',
    format: 'esm',
    target: 'node20',
    sourcemap: 'inline',
    sourcefile: file,
    tsconfigRaw: { compilerOptions: { experimentalDecorators: true } },
  });
  return { format: 'module', source: code, shortCircuit: true };
}
