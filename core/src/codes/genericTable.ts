/**
 * Generic trouble codes (SAE J2012, ISO 15031-6) that bear on a particulate filter and its regeneration, in our own words.
 * A line: code | role | does it hold a regeneration off | checks it calls for | meaning.
 * Only what is certain stands here; what is not is told by the family of its range (see `ranges.ts`).
 */
export const GENERIC_CODES = `
P0045 | cause       | holds | vane-sweep turbo              | Actuator of the boost: its circuit is open
P0046 | cause       | holds | vane-sweep turbo              | Actuator of the boost: does not do what it is told
P0047 | cause       | holds | vane-sweep supply             | Actuator of the boost: circuit low
P0048 | cause       | holds | vane-sweep supply             | Actuator of the boost: circuit high
P0069 | cause       | holds | absolute-agree                | Manifold pressure and barometer do not agree with the engine off
P0087 | bystander   | holds | injectors                     | Fuel rail pressure too low
P0088 | bystander   | holds | injectors                     | Fuel rail pressure too high
P0100 | cause       | holds | air-mass supply               | MAF sensor: its circuit
P0101 | cause       | holds | air-mass intake-smoke egr     | MAF sensor: does not fit engine speed and load
P0102 | cause       | holds | air-mass intake-smoke supply  | MAF sensor: signal low
P0103 | cause       | holds | air-mass supply               | MAF sensor: signal high
P0104 | cause       | holds | air-mass supply               | MAF sensor: signal comes and goes
P0105 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: its circuit
P0106 | cause       | holds | absolute-agree sensor-compare | Manifold pressure sensor: does not fit
P0107 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: signal low
P0108 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: signal high
P0109 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: signal comes and goes
P0110 | bystander   | free  | supply                        | Intake air temperature: its circuit
P0111 | bystander   | free  | egt-cold-soak                 | Intake air temperature: does not fit
P0112 | bystander   | free  | supply                        | Intake air temperature: signal low
P0113 | bystander   | free  | supply                        | Intake air temperature: signal high
P0115 | cause       | holds | thermostat supply             | Coolant temperature: its circuit
P0116 | cause       | holds | thermostat                    | Coolant temperature: does not fit
P0117 | cause       | holds | supply                        | Coolant temperature: signal low
P0118 | cause       | holds | supply                        | Coolant temperature: signal high
P0119 | cause       | holds | supply                        | Coolant temperature: signal comes and goes
P0125 | cause       | holds | thermostat                    | Coolant takes too long to warm
P0126 | cause       | holds | thermostat                    | Coolant not warm enough for steady running
P0128 | cause       | holds | thermostat                    | Coolant stays under what the thermostat should keep
P0191 | bystander   | holds | injectors                     | Rail pressure sensor: does not fit
P0201 | bystander   | holds | injectors                     | Injector of cylinder 1: its circuit
P0202 | bystander   | holds | injectors                     | Injector of cylinder 2: its circuit
P0203 | bystander   | holds | injectors                     | Injector of cylinder 3: its circuit
P0204 | bystander   | holds | injectors                     | Injector of cylinder 4: its circuit
P0217 | bystander   | holds | thermostat                    | Engine too hot
P0234 | cause       | holds | vane-sweep absolute-agree     | More boost than asked for
P0235 | cause       | holds | absolute-agree supply         | Boost sensor: its circuit
P0236 | cause       | holds | absolute-agree sensor-compare | Boost sensor: does not fit
P0237 | cause       | holds | absolute-agree supply         | Boost sensor: signal low
P0238 | cause       | holds | absolute-agree supply         | Boost sensor: signal high
P0299 | cause       | holds | intake-smoke vane-sweep turbo | Less boost than asked for
P0300 | cause       | holds | injectors                     | Misfires, in more than one cylinder
P0380 | cause       | holds | glow                          | Glow plugs or heater: their circuit
P0381 | bystander   | free  | glow                          | Glow lamp: its circuit
P0382 | cause       | holds | glow                          | Glow plugs or heater, second circuit
P0383 | cause       | holds | glow                          | Glow control: circuit low
P0384 | cause       | holds | glow                          | Glow control: circuit high
P0400 | cause       | holds | egr air-mass                  | Recirculation: flow does not fit
P0401 | cause       | holds | egr air-mass                  | Recirculation: too little flow
P0402 | cause       | holds | egr air-mass                  | Recirculation: too much flow
P0403 | cause       | holds | egr supply                    | EGR valve: its circuit
P0404 | cause       | holds | egr                           | EGR valve: not where it should be
P0405 | cause       | holds | egr supply                    | Recirculation position: signal low
P0406 | cause       | holds | egr supply                    | Recirculation position: signal high
P0409 | cause       | holds | egr supply                    | Recirculation position: its circuit
P0420 | consequence | free  | sections filter-look          | Catalyst converts too little
P042E | cause       | holds | egr                           | EGR valve stuck open
P042F | cause       | holds | egr                           | EGR valve stuck shut
P0460 | bystander   | holds | fuel-level                    | Fuel level: its circuit
P0461 | bystander   | holds | fuel-level                    | Fuel level: does not fit
P0462 | bystander   | holds | fuel-level                    | Fuel level: signal low
P0463 | bystander   | holds | fuel-level                    | Fuel level: signal high
P0470 | cause       | holds | absolute-agree supply         | Exhaust pressure sensor: its circuit
P0471 | cause       | holds | absolute-agree pipe-response  | Exhaust pressure sensor: does not fit
P0472 | cause       | holds | absolute-agree supply         | Exhaust pressure sensor: signal low
P0473 | cause       | holds | absolute-agree gauge supply   | Exhaust pressure sensor: signal high
P0474 | cause       | holds | supply                        | Exhaust pressure sensor: signal comes and goes
P0475 | bystander   | holds | gauge                         | Exhaust pressure valve: its circuit
P0476 | cause       | holds | gauge sections                | Exhaust pressure valve: does not do what it is told
P0489 | cause       | holds | egr supply                    | EGR valve: control circuit low
P0490 | cause       | holds | egr supply                    | EGR valve: control circuit high
P0500 | bystander   | holds | supply                        | Vehicle speed: its circuit
P0504 | bystander   | free  | supply                        | Brake switches do not agree
P0524 | bystander   | holds | oil                           | Oil pressure too low
P0544 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: its circuit
P0545 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: signal low
P0546 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: signal high
P0547 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: its circuit
P0548 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: signal low
P0549 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: signal high
P0560 | bystander   | holds | supply                        | Battery voltage: does not fit
P0562 | bystander   | holds | supply                        | Battery voltage too low
P0563 | bystander   | holds | supply                        | Battery voltage too high
P0571 | bystander   | free  | supply                        | Brake switch: its circuit
P0597 | cause       | holds | thermostat supply             | Heated thermostat: circuit open
P0598 | cause       | holds | thermostat supply             | Heated thermostat: circuit low
P0599 | cause       | holds | thermostat supply             | Heated thermostat: circuit high
P0606 | bystander   | holds | supply                        | ECU: its processor
P0641 | cause       | holds | supply dp-electrical          | Sensor supply A: open
P0642 | cause       | holds | supply dp-electrical          | Sensor supply A: low
P0643 | cause       | holds | supply dp-electrical          | Sensor supply A: high
P0651 | cause       | holds | supply dp-electrical          | Sensor supply B: open
P0652 | cause       | holds | supply dp-electrical          | Sensor supply B: low
P0653 | cause       | holds | supply dp-electrical          | Sensor supply B: high
P0697 | cause       | holds | supply dp-electrical          | Sensor supply C: open
P0698 | cause       | holds | supply dp-electrical          | Sensor supply C: low
P0699 | cause       | holds | supply dp-electrical          | Sensor supply C: high
P0670 | cause       | holds | glow                          | Glow control unit: its circuit
P0671 | cause       | holds | glow                          | Glow plug of cylinder 1: its circuit
P0672 | cause       | holds | glow                          | Glow plug of cylinder 2: its circuit
P0673 | cause       | holds | glow                          | Glow plug of cylinder 3: its circuit
P0674 | cause       | holds | glow                          | Glow plug of cylinder 4: its circuit
P0675 | cause       | holds | glow                          | Glow plug of cylinder 5: its circuit
P0676 | cause       | holds | glow                          | Glow plug of cylinder 6: its circuit
P0677 | cause       | holds | glow                          | Glow plug of cylinder 7: its circuit
P0678 | cause       | holds | glow                          | Glow plug of cylinder 8: its circuit
P0683 | cause       | holds | glow supply                   | Glow control unit does not answer
P2002 | consequence | holds | filter-look dp-zero hoses     | Filter holds back too little, or its pressure reads too low
P2003 | consequence | holds | filter-look dp-zero hoses     | Filter of the second bank holds back too little
P2031 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: its circuit
P2032 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: signal low
P2033 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: signal high
P2080 | cause       | holds | egt-position egt-cold-soak    | EGT sensor 1: does not fit
P2081 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: signal comes and goes
P2084 | cause       | holds | egt-position egt-cold-soak    | EGT sensor 2: does not fit
P2085 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: signal comes and goes
P20CB | cause       | holds | dosing-injector supply        | Fuel injector in the exhaust: circuit open
P20CC | cause       | holds | dosing-injector               | Fuel injector in the exhaust: does not do what it is told
P20CD | cause       | holds | dosing-injector supply        | Fuel injector in the exhaust: circuit low
P20CE | cause       | holds | dosing-injector supply        | Fuel injector in the exhaust: circuit high
P20EE | consequence | free  | sections filter-look          | Nitrogen oxides: the catalyst converts too little
P2200 | bystander   | free  | supply                        | Nitrogen oxide sensor 1: its circuit
P2201 | bystander   | free  | supply                        | Nitrogen oxide sensor 1: does not fit
P2226 | cause       | holds | absolute-agree                | Barometer: its circuit
P2227 | cause       | holds | absolute-agree                | Barometer: does not fit
P2228 | cause       | holds | absolute-agree                | Barometer: signal low
P2229 | cause       | holds | absolute-agree                | Barometer: signal high
P2263 | cause       | holds | intake-smoke vane-sweep turbo | Boost: the system does not reach what it should
P226D | consequence | holds | filter-look                   | Filter damaged or its core missing
P2279 | cause       | holds | intake-smoke air-mass         | Air leaks into or out of the intake
P2413 | cause       | holds | egr                           | Recirculation: the system does not do what it should
P242A | cause       | holds | egt-position egt-resistance   | EGT sensor 3: its circuit
P242B | cause       | holds | egt-position egt-cold-soak    | EGT sensor 3: does not fit
P242C | cause       | holds | egt-position egt-resistance   | EGT sensor 3: signal low
P242D | cause       | holds | egt-position egt-resistance   | EGT sensor 3: signal high
P242E | cause       | holds | egt-position egt-resistance   | EGT sensor 3: signal comes and goes
P242F | consequence | holds | counter filter-look           | Ash has filled the filter, by counting or by pressure
P2425 | bystander   | free  | egr supply                    | Valve of the recirculation’s cooling: circuit open
P2428 | consequence | holds | injectors dosing-injector     | Exhaust gas too hot
P244A | cause       | free  | hoses dp-zero filter-look     | Pressure across the filter too low
P244B | consequence | free  | dp-zero pipe-response counter | Pressure across the filter too high
P244C | cause       | holds | dosing-injector egt-position  | Exhaust too cool for a regeneration
P244D | consequence | holds | dosing-injector injectors     | Exhaust too hot in a regeneration
P2452 | cause       | holds | dp-electrical hoses           | ΔP sensor: its circuit
P2453 | cause       | holds | dp-zero hoses dp-ladder       | ΔP sensor: does not fit
P2454 | cause       | holds | dp-electrical hoses           | ΔP sensor: signal low
P2455 | cause       | holds | dp-electrical gauge           | ΔP sensor: signal high
P2456 | cause       | holds | dp-electrical hoses           | ΔP sensor: signal comes and goes
P2457 | bystander   | free  | egr                           | Recirculation: its cooling does not do what it should
P2458 | consequence | free  | dosing-injector egt-position  | A regeneration took too long or did not end
P2459 | consequence | free  | counter oil pipe-response     | Regenerations come too often
P2463 | consequence | free  | dp-zero pipe-response counter | Too much soot in the filter, by counting or by pressure
P246C | consequence | holds | gauge counter                 | Filter restricted: power is limited by force
P246E | cause       | holds | egt-position egt-resistance   | EGT sensor 4: its circuit
P246F | cause       | holds | egt-position egt-cold-soak    | EGT sensor 4: does not fit
P2470 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: signal low
P2471 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: signal high
P2472 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: signal comes and goes
P24A2 | consequence | free  | dosing-injector egt-position  | A regeneration was not finished
P24AE | bystander   | free  | filter-look supply            | Soot sensor behind the filter: its circuit
P252F | cause       | holds | oil                           | Engine oil: level too high
P2562 | cause       | holds | vane-sweep supply             | Position of the vanes: its circuit
P2563 | cause       | holds | vane-sweep                    | Position of the vanes: does not fit
P2564 | cause       | holds | vane-sweep supply             | Position of the vanes: signal low
P2565 | cause       | holds | vane-sweep supply             | Position of the vanes: signal high
U0001 | bystander   | free  | supply                        | Fast data line between the modules
U0100 | bystander   | holds | supply                        | A module hears nothing of the ECU
U0101 | bystander   | free  | supply                        | A module hears nothing of the gearbox
U0121 | bystander   | free  | supply                        | A module hears nothing of the brakes
`;
