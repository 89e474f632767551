import type { ReactNode } from 'react';

/** A word or figure on the drawn line. */
export function LineText({
  children,
  x,
  y,
  anchor = 'start',
  weight = 500,
  size = 14,
  fill = 'var(--ink)',
}: {
  children: ReactNode;
  x: number;
  y: number;
  anchor?: 'start' | 'middle' | 'end';
  weight?: number;
  size?: number;
  fill?: string;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      fontWeight={weight}
      fontSize={size}
      fill={fill}
      fontFamily="var(--font-head)"
    >
      {children}
    </text>
  );
}
