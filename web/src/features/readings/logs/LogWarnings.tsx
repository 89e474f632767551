import * as wording from '@white-ember/core/words/screens/readings';
import { Say } from '../../../ui/Say.tsx';
import type { LogAnalysis } from '@white-ember/core/readings';

/** What was repaired, assumed or left out while the file was read. */
export function LogWarnings({ analysis }: { analysis: LogAnalysis }) {
  if (analysis.warnings.length === 0) return null;
  return (
    <section>
      <h3 className="text-lg mb-1">{wording.notedWhileReading}</h3>
      <ul className="text-[15px] list-disc pl-5">
        {analysis.warnings.map((warning, i) => (
          <li key={i}>
            <Say it={warning.text} />
            {warning.row === undefined ? '' : wording.firstInLine(warning.row)}
          </li>
        ))}
      </ul>
    </section>
  );
}
