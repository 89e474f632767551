/** e^(−x)·I₀(x) by its integral over a circle, to rounding. */
function scaledBessel0(x: number): number {
  const points = 100;
  let sum = 0;
  for (let i = 0; i < points; i++) sum += Math.exp(x * (Math.cos((Math.PI * (i + 0.5)) / points) - 1));
  return sum / points;
}

/**
 * Solid of a packed bed after a step of the gas at its inlet, as a share of the step (Schumann, J. Franklin Inst. 208
 * (1929) 405): θ = ∫₀^τ e^(−ξ−u)·I₀(2√(ξu)) du, with ξ = h·S·x/(L·ṁ·c) along the bed and τ = h·S·t/C.
 */
export function schumannSolid(xi: number, tau: number): number {
  const steps = 500;
  // Simpson in √u, where the integrand is smooth.
  const end = Math.sqrt(tau);
  const at = (v: number): number =>
    2 * v * Math.exp(-((Math.sqrt(xi) - v) ** 2)) * scaledBessel0(2 * Math.sqrt(xi) * v);
  let sum = at(0) + at(end);
  for (let i = 1; i < steps; i++) sum += (i % 2 === 1 ? 4 : 2) * at((end * i) / steps);
  return (sum * end) / (3 * steps);
}
