import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { cruise } from 'dependency-cruiser';

/** Checks that imports go one way. A check that saw no modules would pass for ever, so that is a failure too. */
const { options, forbidden } = createRequire(import.meta.url)('./.dependency-cruiser.cjs');
const { output } = await cruise(['core/src', 'bounded/src', 'cli/src', 'server/src', 'web/src'], {
  ...options,
  validate: true,
  ruleSet: { forbidden },
});
const { violations, totalCruised } = output.summary;
for (const { rule, from, to } of violations) console.error(`${rule.name}: ${from} imports ${to}`);
const own = output.modules.filter(({ source }) => /^(core|bounded|cli|server|web)\/src\//.test(source));
if (own.length < 100)
  console.error(`Only ${own.length} modules of our own were seen; the check looks in the wrong place.`);

/** The heart knows no clock and no chance: the same input gives the same answer everywhere. */
const OUTSIDE = [
  [/\bDate\.now\(/, 'core has no clock: take the time as an argument.'],
  [/\bnew Date\(\)/, 'core has no clock: take the time as an argument.'],
  [/\bMath\.random\(/, 'core has no chance: take a seed.'],
];
const heart = own
  .map(({ source }) => source)
  .filter(
    (path) =>
      /^core\/src\/(?!.*(\.test\.ts$|\/testing\/))/.test(path) && !path.startsWith('core/src/testing/'),
  );
let outside = 0;
for (const path of heart)
  for (const [at, line] of readFileSync(path, 'utf8').split('\n').entries())
    for (const [pattern, why] of OUTSIDE)
      if (pattern.test(line.replace(/\/\/.*|^\s*\*.*/, ''))) {
        console.error(`${path}:${at + 1}: ${why}`);
        outside++;
      }

console.log(`${own.length} modules of our own, ${totalCruised} in all, ${violations.length} wrong imports`);
process.exitCode = violations.length > 0 || own.length < 100 || heart.length < 100 || outside > 0 ? 1 : 0;
