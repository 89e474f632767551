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
const own = output.modules.filter(({ source }) => /^(core|bounded|cli|server|web)\/src\//.test(source)).length;
if (own < 100) console.error(`Only ${own} modules of our own were seen; the check looks in the wrong place.`);
console.log(`${own} modules of our own, ${totalCruised} in all, ${violations.length} wrong imports`);
process.exitCode = violations.length > 0 || own < 100 ? 1 : 0;
