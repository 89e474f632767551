import { readCodeList, type ListedCode } from '@white-ember/core/codes';
import type { BodyOf } from '@white-ember/core/ledger';

export type ScannedCode = BodyOf<'code-scan'>['codes'][number];

/** What was typed, with what is no code to us kept as it is: nothing that a tool printed is swallowed. */
export function codesIn(text: string): { codes: ScannedCode[]; leftOver: readonly string[] } {
  const { codes, leftOver } = readCodeList(text);
  return {
    codes: [...codes, ...leftOver.map((words) => ({ code: words.slice(0, 40) }))].map(
      ({ code, status, module }: ListedCode) => ({
        code,
        ...(status === undefined ? {} : { status }),
        ...(module === undefined ? {} : { module }),
      }),
    ),
    leftOver,
  };
}

/** A scan as it would be typed: modules above their codes, status behind. */
export function asTyped(codes: readonly ScannedCode[]): string {
  let module: string | undefined;
  return codes
    .flatMap((one) => {
      const heading = one.module === module ? [] : [one.module ?? 'Other'];
      ({ module } = one);
      return [...heading, `${one.code}${one.status === undefined ? '' : ` ${one.status}`}`];
    })
    .join('\n');
}
