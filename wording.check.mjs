import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/**
 * Reads every sentence in the sources as a person meets it: one term for one thing, the trade's own, and none longer than a breath.
 * What machines read (queries, class names, the lexicon of headings, made-up jobs) is passed over.
 */
const ROOTS = ['core/src', 'web/src', 'server/src', 'cli/src'];
const NOT_SPOKEN =
  /\.test\.|\/testing\/|\/lexicon\/|core\/src\/bench\/(?!adapter|computer)|\/database\/|\/demo\/|server\/src\/(benchmark|launch)\//;
const LONGEST_WORDS = 25;

/** What is not said, and what is said instead. */
const INSTEAD = [
  [/\bset back\b/i, 'reset'],
  [/\b(?:holds?|held) (?:\S+ ){0,4}off\b/i, 'inhibits, blocked by'],
  [/air meter/i, 'MAF sensor'],
  [/\bcomputers?\b/i, 'ECU'],
  [/recirculation/i, 'EGR'],
  [/pump ladder/i, 'pump test'],
  [/\bto be believed\b|\bnot believed\b/i, 'implausible, trusted'],
  [/\bcomes? of something\b|\bstand by\b/i, 'consequence, unrelated'],
  [/still to (?:show|come)/i, 'outstanding'],
  [/\bput right\b/i, 'repaired'],
  [/\bthrow away\b/i, 'delete'],
  [/\bahead of the\b|\bbehind the (?!inlet face|face)/i, 'before, after'],
  [/\ball the same\b/i, 'anyway'],
  [/\bit stands\b|\bstands at\b/i, 'limit; is at'],
  [/\bbefore the turbine\b/i, 'before the turbo'],
  [/\bstanding (?:burn|regeneration)\b/i, 'parked regeneration'],
  [/^Take (?:back|in)\b|\btake it back\b/, 'revoke, import'],
  [/\bwould hardly\b|\bworth the next\b/i, 'little to learn; best next'],
];

const filesIn = (folder) =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
    .map(({ parentPath, name }) => join(parentPath, name));

/** Texts of a source file that hold words, with the line of each; a value in between reads as three dots. */
function spokenIn(path) {
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found = [];
  const visit = (node) => {
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('')
        : ts.isJsxText(node)
          ? node.text
          : undefined;
    const words = text?.replace(/\s+/g, ' ').trim() ?? '';
    const isSpoken = /\p{L}{2} \S/u.test(words) || (ts.isJsxText(node) && /\p{L}{2}/u.test(words));
    if (isSpoken && !ts.isImportDeclaration(node.parent) && !isForMachines(words))
      found.push({ words, line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1 });
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** Queries, classes, tables of codes and drawings. */
const isForMachines = (text) =>
  /\b(?:SELECT|INSERT|UPDATE|DELETE|FETCH|CASE WHEN|CREATE|ALTER)\b|\| (?:cause|bystander|consequence) |^<|\b(?:grid|flex|gap-\d|text-\[?\w+|border-\d|min-[wh]-|px-\d|py-\d|font-)\b|\(\?:|--\w+ /.test(
    text,
  );

/** Names of drafts and stores, fonts, classes, faults of our own: texts in a screen’s file that nobody reads. */
const IS_NO_LABEL =
  /^white-ember |^(?:correction|vehicle|settled|remains|reading|part|letter|fluid|filter|codes|chemical|check|reset|burn|other|family) (?:…|changed|new|off|site|note)|Barlow|^[a-z-]+\(|^[^\p{L}]*0$|^limit …$/u;
const isClasses = (words) =>
  words.split(' ').every((word) => /^(?:…|[-a-z[][\w:/.()[\]!%+#&-]*)$/.test(word)) &&
  words.split(' ').some((word) => /\w[-:]\w|^(?:grow|block|truncate)$/.test(word));
const FAULTS_OF_OUR_OWN = /web\/src\/workers\/|is not open any more|stands in its form/;

let spoken = 0;
let wrong = 0;
for (const path of filesIn('web/src').filter((file) => !NOT_SPOKEN.test(file)))
  for (const { words, line } of spokenIn(path)) {
    if (IS_NO_LABEL.test(words) || isClasses(words) || FAULTS_OF_OUR_OWN.test(path + words)) continue;
    wrong++;
    console.error(`${path}:${line}: “${words}” belongs to core/src/words/en/screens.`);
  }
for (const path of ROOTS.flatMap(filesIn).filter((file) => !NOT_SPOKEN.test(file)))
  for (const { words, line } of spokenIn(path)) {
    spoken++;
    for (const [pattern, instead] of INSTEAD)
      if (pattern.test(words)) {
        console.error(`${path}:${line}: “${words.slice(0, 120)}”: say ${instead}`);
        wrong++;
      }
    for (const sentence of words.split(/[.:;?!] /))
      if (sentence.split(' ').length > LONGEST_WORDS) {
        console.error(`${path}:${line}: longer than ${LONGEST_WORDS} words: “${sentence.slice(0, 120)}”`);
        wrong++;
      }
  }
if (spoken < 1000) console.error(`Only ${spoken} sentences were seen; the check looks in the wrong place.`);
console.log(`${spoken} sentences read, ${wrong} not as White Ember speaks`);
process.exitCode = wrong > 0 || spoken < 1000 ? 1 : 0;
