import { CHANNEL_ROLES, ROLE_IDS, type LogAnalysis } from '@white-ember/core/readings';

/** Which column is what, with how surely and why; any of it can be set right. */
export function LogMapping({
  analysis,
  corrections,
  onCorrect,
}: {
  analysis: LogAnalysis;
  corrections: Readonly<Record<string, string>>;
  onCorrect: (column: string, role: string) => void;
}) {
  const rows = [
    ...analysis.channels.map((channel) => ({
      column: channel.source,
      role: channel.role,
      unit: channel.unit,
      why: `${Math.round(channel.confidence * 100)} %, ${channel.reason}`,
    })),
    ...analysis.unmapped.map((column) => ({
      column,
      role: '',
      unit: '',
      why: corrections[column] === '' ? 'left out by hand' : 'not recognised',
    })),
  ];
  return (
    <details open={analysis.unmapped.length > 0 || Object.keys(corrections).length > 0}>
      <summary className="text-lg font-head font-semibold min-h-11">
        Columns: {analysis.channels.length} recognised, {analysis.unmapped.length} not
      </summary>
      <table className="w-full text-left text-[15px]">
        <thead className="border-b-2 border-ink">
          <tr>
            <th>column</th>
            <th>is</th>
            <th>unit</th>
            <th className="max-sm:hidden">how surely</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.column} className="border-b-2 border-rule">
              <td className="pr-2">{row.column}</td>
              <td className="py-1">
                <select
                  className="input-box"
                  aria-label={`What “${row.column}” is`}
                  value={row.role}
                  onChange={(event) => onCorrect(row.column, event.target.value)}
                >
                  <option value="">none of these</option>
                  {ROLE_IDS.map((role) => (
                    <option key={role} value={role}>
                      {CHANNEL_ROLES[role].label}
                    </option>
                  ))}
                </select>
              </td>
              <td className="pl-2">{row.unit}</td>
              <td className="text-ink2 max-sm:hidden">{row.why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
