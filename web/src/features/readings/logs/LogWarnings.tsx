import { Say } from '../../../ui/Say.tsx';
import type { LogAnalysis } from '@white-ember/core/readings';

/** What was repaired, assumed or left out while the file was read. */
export function LogWarnings({ analysis }: { analysis: LogAnalysis }) {
  if (analysis.warnings.length === 0) return null;
  return (
    <section>
      <h3 className="text-lg mb-1">Noted while reading</h3>
      <ul className="text-[15px] list-disc pl-5">
        {analysis.warnings.map((warning, i) => (
          <li key={i}>
            <Say it={warning.text} />
            {warning.row === undefined ? '' : ` First in line ${warning.row}.`}
          </li>
        ))}
      </ul>
    </section>
  );
}
