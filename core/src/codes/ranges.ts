import type { CheckId } from '../checks/index.ts';
import type { Catalogue } from '../words/index.ts';
import type { CodeLine, CodeRole } from './codeLine.ts';

/** First and last code of a range. */
type Span = keyof Catalogue['codeRanges'];

/** What a range of codes is about, where the single code is not known for certain. */
export interface CodeRange extends CodeLine {
  readonly from: string;
  readonly to: string;
  readonly span: Span;
}

const range = (
  span: Span,
  role: CodeRole = 'bystander',
  checks: readonly CheckId[] = [],
  holdsRegenerationOff = role === 'cause',
): CodeRange => {
  const [from = '', to = ''] = span.split('-');
  return { from, to, span, role, holdsRegenerationOff, checks };
};

/** Families of the standard's ranges, narrow ones before those that they lie in. */
export const CODE_RANGES: readonly CodeRange[] = [
  range('P0033-P0049', 'cause', ['vane-sweep', 'turbo']),
  range('P0030-P0064'),
  range('P0068-P006F', 'cause', ['absolute-agree']),
  range('P0100-P0104', 'cause', ['air-mass', 'intake-smoke']),
  range('P0105-P0109', 'cause', ['absolute-agree']),
  range('P0115-P0119', 'cause', ['thermostat']),
  range('P0110-P0129', 'cause', ['thermostat']),
  range('P0130-P0169'),
  range('P0170-P0199', 'bystander', ['injectors'], true),
  range('P0200-P0233', 'bystander', ['injectors'], true),
  range('P0234-P0250', 'cause', ['absolute-agree', 'vane-sweep']),
  range('P0251-P0299', 'bystander', ['injectors'], true),
  range('P0380-P0389', 'cause', ['glow']),
  range('P0300-P0399', 'bystander', ['injectors'], true),
  range('P0400-P0409', 'cause', ['egr', 'air-mass']),
  range('P0410-P0419'),
  range('P0420-P0439', 'consequence', ['sections']),
  range('P0440-P0459'),
  range('P0460-P0469', 'bystander', ['fuel-level'], true),
  range('P0470-P0479', 'cause', ['absolute-agree', 'gauge']),
  range('P0480-P0499'),
  range('P0520-P0529', 'bystander', ['oil'], true),
  range('P0500-P0559'),
  range('P0560-P0569', 'bystander', ['supply'], true),
  range('P0570-P0599', 'bystander', ['thermostat']),
  range('P0640-P0659', 'cause', ['supply', 'dp-electrical']),
  range('P0670-P0684', 'cause', ['glow']),
  range('P0600-P0699', 'bystander', ['supply']),
  range('P0700-P0999'),
  range('P2000-P2003', 'consequence', ['filter-look'], true),
  range('P2004-P2029', 'bystander', ['egr']),
  range('P2030-P2036', 'cause', ['egt-position', 'egt-resistance']),
  range('P2037-P207F'),
  range('P2080-P2089', 'cause', ['egt-position', 'egt-cold-soak']),
  range('P20CA-P20E4', 'cause', ['dosing-injector']),
  range('P2090-P20FF'),
  range('P2100-P219F'),
  range('P2200-P2225'),
  range('P2226-P222F', 'cause', ['absolute-agree']),
  range('P2260-P226C', 'cause', ['vane-sweep', 'intake-smoke']),
  range('P2279-P2284', 'cause', ['intake-smoke']),
  range('P2200-P229F'),
  range('P2413-P2419', 'cause', ['egr']),
  range('P242A-P242E', 'cause', ['egt-position', 'egt-resistance']),
  range('P244A-P246D', 'consequence', ['dp-zero', 'counter']),
  range('P246E-P2472', 'cause', ['egt-position', 'egt-resistance']),
  range('P2473-P248F', 'cause', ['egt-position']),
  range('P24A0-P24FF', 'consequence', ['filter-look']),
  range('P2400-P24FF'),
  range('P2500-P250F', 'bystander', ['oil']),
  range('P2562-P2566', 'cause', ['vane-sweep']),
  range('P2500-P27FF'),
  range('P0000-P0FFF'),
  range('P2000-P2FFF'),
  range('C0000-C3FFF'),
  range('B0000-B3FFF'),
  range('U0000-U3FFF'),
];
