import { Link } from 'react-router';
import { CHANNEL_ROLES, isChannelRole, type LogAnalysis, type WithoutRole } from '@white-ember/core/readings';
import { RoleOptions } from '../RoleOptions.tsx';

interface Row {
  readonly column: string;
  readonly role: string;
  readonly unit: string;
  readonly why: string;
}

const label = (role: string): string => (isChannelRole(role) ? CHANNEL_ROLES[role].label : role);

function rowsOf(analysis: LogAnalysis, corrections: Readonly<Record<string, string>>): Row[] {
  const asked = new Map(
    (analysis.questions ?? []).flatMap(({ role, columns }) =>
      columns.map((column) => [column, role] as const),
    ),
  );
  const without = new Map((analysis.without ?? []).map((one) => [one.column, one]));
  const unmapped = analysis.unmapped.map((column): Row => {
    const role = asked.get(column);
    const why =
      role !== undefined
        ? `is this ${label(role)}? Others look like it too`
        : corrections[column] === ''
          ? 'left out by hand'
          : notRecognised(without.get(column));
    return { column, role: '', unit: '', why };
  });
  const mapped = analysis.channels.map((channel): Row => ({
    column: channel.column,
    role: channel.role,
    unit: channel.unit,
    why: `${Math.round(channel.confidence * 100)} %, ${channel.reason}`,
  }));
  return [
    ...unmapped.filter(({ column }) => asked.has(column)),
    ...mapped,
    ...unmapped.filter(({ column }) => !asked.has(column)),
  ];
}

/** What a heading was read as, and why that is no channel that is judged; the column is kept, and can be plotted. */
const notRecognised = (one: WithoutRole | undefined): string =>
  one === undefined
    ? 'not recognised; kept, and can be plotted'
    : `${one.readAs === '' ? '' : `read as ${one.readAs}; `}${one.why}`;

/** Which column is what, with how surely and why; any of it can be set right, and is then remembered for the workshop. */
export function LogMapping({
  analysis,
  corrections,
  onCorrect,
}: {
  analysis: LogAnalysis;
  corrections: Readonly<Record<string, string>>;
  onCorrect: (column: string, role: string) => void;
}) {
  const questions = analysis.questions?.length ?? 0;
  return (
    <details open={questions > 0 || analysis.unmapped.length > 0 || Object.keys(corrections).length > 0}>
      <summary className="text-lg font-head font-semibold min-h-11">
        Columns: {analysis.channels.length} recognised, {analysis.unmapped.length} not
        {questions > 0 ? `, ${questions} to be answered` : ''}
      </summary>
      <p className="text-sm text-ink2 mb-1">
        What you set here is remembered for every later log of the workshop;{' '}
        <Link className="underline underline-offset-4" to="/headings">
          all that is remembered
        </Link>
        .
      </p>
      <table className="w-full text-left text-[15px]">
        <thead className="border-b-2 border-ink">
          <tr>
            <th>column</th>
            <th>is</th>
            <th className="px-2">unit</th>
            <th className="max-sm:hidden">how surely</th>
          </tr>
        </thead>
        <tbody>
          {rowsOf(analysis, corrections).map((row) => (
            <tr key={row.column} className="border-b-2 border-rule">
              <td className="pr-2 break-words">{row.column}</td>
              <td className="py-1">
                <select
                  className="input-box"
                  aria-label={`What “${row.column}” is`}
                  value={row.role}
                  onChange={(event) => onCorrect(row.column, event.target.value)}
                >
                  <option value="">none of these</option>
                  <RoleOptions />
                </select>
              </td>
              <td className="px-2">{row.unit}</td>
              <td className="text-ink2 max-sm:hidden">{row.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
