import type { ReactNode } from 'react';
import type { Problem } from '@white-ember/core/contract';

/** Something a person must read: bold rule at the left, no colour needed to tell. */
export function Notice({
  title,
  children,
  tone = 'plain',
}: {
  title: string;
  children?: ReactNode;
  tone?: 'plain' | 'alarm';
}) {
  return (
    <div
      role={tone === 'alarm' ? 'alert' : 'status'}
      className={`border-l-8 bg-card p-3 ${tone === 'alarm' ? 'border-ember' : 'border-ink'}`}
    >
      <p className="font-head font-semibold">{title}</p>
      {children ? <div className="text-sm text-ink2 mt-1">{children}</div> : null}
    </div>
  );
}

/** What the server refused, with the place of each fault. */
export function ProblemNotice({ problem }: { problem: Problem | undefined }) {
  if (!problem) return null;
  const fields = Object.entries(problem.fields ?? {});
  return (
    <Notice title={problem.title} tone="alarm">
      {fields.length > 0 ? (
        <ul>
          {fields.map(([field, text]) => (
            <li key={field}>
              {field}: {text}
            </li>
          ))}
        </ul>
      ) : (
        problem.detail
      )}
    </Notice>
  );
}
