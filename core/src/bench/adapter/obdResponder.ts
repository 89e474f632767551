import { OBD_PARAMETERS, type ObdValue } from '../../readings/index.ts';
import { codeBytes } from '../../link/index.ts';
import type { BenchVehicle } from '../benchVehicle.ts';

const NO_SUCH_SERVICE = 0x11;
const CONDITIONS_NOT_RIGHT = 0x22;

/** Writes one value into an answer's data; nothing where the vehicle does not have it. */
function encode(value: ObdValue, base: number, data: Uint8Array): void {
  if (value.fittedBit !== undefined) data[0] = (data[0] as number) | (1 << value.fittedBit);
  if (value.bit !== undefined) {
    data[value.at] = (data[value.at] as number) | (base > 0.5 ? 1 << value.bit : 0);
    return;
  }
  const most = value.bytes === 1 ? 0xff : 0xffff;
  const raw = Math.round((base - (value.offset ?? 0)) / value.scale);
  const whole = value.signed
    ? Math.min(0x7fff, Math.max(-0x8000, raw)) & 0xffff
    : Math.min(most, Math.max(0, raw));
  if (value.bytes === 2) {
    data[value.at] = whole >> 8;
    data[value.at + 1] = whole & 0xff;
  } else data[value.at] = whole;
}

/** Data of a parameter as the vehicle shows it now; undefined where it has none of its values. */
function parameterData(vehicle: BenchVehicle, pid: number): Uint8Array | undefined {
  const parameter = OBD_PARAMETERS[pid];
  if (!parameter) return undefined;
  const data = new Uint8Array(parameter.length);
  let any = false;
  for (const value of parameter.values) {
    const base = value.role === undefined ? undefined : vehicle.read(value.role);
    if (base === undefined) continue;
    encode(value, base, data);
    any = true;
  }
  return any ? data : undefined;
}

const PIDS = Object.keys(OBD_PARAMETERS).map(Number);

/** Which of the 32 parameters after `from` are answered, a bit each, the highest first; the last bit: whether more follow. */
function supported(vehicle: BenchVehicle, from: number): Uint8Array {
  const bits = new Uint8Array(4);
  const set = (place: number): void => {
    const at = place - 1;
    bits[at >> 3] = (bits[at >> 3] as number) | (0x80 >> (at & 7));
  };
  const answered = PIDS.filter((pid) => parameterData(vehicle, pid) !== undefined);
  for (const pid of answered) if (pid > from && pid <= from + 32) set(pid - from);
  if (answered.some((pid) => pid > from + 32)) set(32);
  return bits;
}

const ascii = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

/** The ECU at the diagnostic plug: answers services 01, 03, 04, 07 and 09 (SAE J1979 over ISO 15765-4). */
export function obdAnswer(vehicle: BenchVehicle, request: Uint8Array): Uint8Array | undefined {
  const [service] = request;
  if (service === undefined || vehicle.controls.ignition === 'off') return undefined;
  const refuse = (reason: number): Uint8Array => Uint8Array.of(0x7f, service, reason);
  const answer = (...bytes: number[]): Uint8Array => Uint8Array.of(service + 0x40, ...bytes);
  switch (service) {
    case 0x01: {
      const found = [...request.subarray(1)].flatMap((pid): number[] => {
        const data = pid % 0x20 === 0 ? supported(vehicle, pid) : parameterData(vehicle, pid);
        return data ? [pid, ...data] : [];
      });
      // No answer at all is how a computer says that it has none of these.
      return found.length > 0 ? answer(...found) : undefined;
    }
    case 0x03:
    case 0x07: {
      const wanted = [...vehicle.computer.codes.values()].filter(({ status }) =>
        service === 0x03 ? status !== 'pending' : status === 'pending',
      );
      const codes = wanted.flatMap(({ code }) => codeBytes(code) ?? []);
      return answer(codes.length / 2, ...codes);
    }
    case 0x04: {
      const { status } = vehicle.startRoutine('clear-codes');
      return status === 'done' ? answer() : refuse(CONDITIONS_NOT_RIGHT);
    }
    case 0x09:
      if (request[1] === 0x02) return answer(0x02, 1, ...ascii(identification(vehicle)));
      if (request[1] === 0x0a)
        return answer(0x0a, 1, ...ascii(`ECM\0-${vehicle.family.name}`.padEnd(20, '\0').slice(0, 20)));
      return refuse(NO_SUCH_SERVICE);
    default:
      return refuse(NO_SUCH_SERVICE);
  }
}

/** Seventeen letters that look like an identification number and are none. */
const identification = ({ family, seed }: BenchVehicle): string =>
  `WEB${family.name.replace(/[^A-Za-z0-9]/g, '').toUpperCase()}${String(seed).padStart(6, '0')}`
    .replace(/[IOQ]/g, 'X')
    .padEnd(17, '0')
    .slice(0, 17);
