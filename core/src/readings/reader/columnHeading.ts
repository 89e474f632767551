import { parseUnit } from '../../quantities/index.ts';
import { cutTo, READ_BOUNDS } from './readBounds.ts';

export interface ColumnHeading {
  readonly name: string;
  readonly unitText?: string;
}

const UNIT_AT_END = /^(.*\S)[\s,_/-]+([^\s,_/]+(?:\/[^\s,_/]+)?)$/;

const OPENS = '[({<';
const CLOSES = '])}>';

/** Name and content of the last brackets of a heading that ends with them; looked for from the end, once. */
function lastBrackets(heading: string): [name: string, inside: string] | undefined {
  if (!CLOSES.includes(heading.at(-1) ?? ' ')) return undefined;
  for (let at = heading.length - 2; at > 0; at--) {
    const char = heading[at] as string;
    if (CLOSES.includes(char)) return undefined;
    if (!OPENS.includes(char)) continue;
    const name = heading.slice(0, at).trim();
    return name === '' ? undefined : [name, heading.slice(at + 1, -1).trim()];
  }
  return undefined;
}

/** "Mass air flow (g/s)" → name and unit; brackets that hold no unit stay part of the name. */
export function splitUnit(heading: string): ColumnHeading {
  const trimmed = cutTo(heading.trim(), READ_BOUNDS.headingLength);
  const brackets = lastBrackets(trimmed);
  if (brackets) {
    const [name, unitText] = brackets;
    if (unitText === '' || parseUnit(unitText).ok) return { name, unitText };
  }
  const end = UNIT_AT_END.exec(trimmed);
  if (
    end?.[1] !== undefined &&
    end[2] !== undefined &&
    end[2].length > 1 &&
    parseUnit(end[2]).ok &&
    !/^(?:sec|min)$/i.test(end[2])
  ) {
    return { name: trimmed, unitText: end[2] };
  }
  return { name: trimmed };
}
