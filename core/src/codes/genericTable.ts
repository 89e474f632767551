/**
 * Generic trouble codes (SAE J2012, ISO 15031-6) that bear on a particulate filter and its regeneration, in our own words.
 * A line: code | role | does it hold a regeneration off | checks it calls for | meaning.
 * Only what is certain stands here; what is not is told by the family of its range (see `ranges.ts`).
 */
export const GENERIC_CODES = `
P0045 | cause       | holds | vane-sweep turbo              | Boost actuator: circuit is open
P0046 | cause       | holds | vane-sweep turbo              | Boost actuator: does not respond
P0047 | cause       | holds | vane-sweep supply             | Boost actuator: circuit low
P0048 | cause       | holds | vane-sweep supply             | Boost actuator: circuit high
P0069 | cause       | holds | absolute-agree                | Manifold pressure and barometer do not agree with the engine off
P0087 | bystander   | holds | injectors                     | Fuel rail pressure too low
P0088 | bystander   | holds | injectors                     | Fuel rail pressure too high
P0100 | cause       | holds | air-mass supply               | MAF sensor: circuit
P0101 | cause       | holds | air-mass intake-smoke egr     | MAF sensor: implausible engine speed and load
P0102 | cause       | holds | air-mass intake-smoke supply  | MAF sensor: signal low
P0103 | cause       | holds | air-mass supply               | MAF sensor: signal high
P0104 | cause       | holds | air-mass supply               | MAF sensor: intermittent signal
P0105 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: circuit
P0106 | cause       | holds | absolute-agree sensor-compare | Manifold pressure sensor: implausible
P0107 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: signal low
P0108 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: signal high
P0109 | cause       | holds | absolute-agree supply         | Manifold pressure sensor: intermittent signal
P0110 | bystander   | free  | supply                        | Intake air temperature: circuit
P0111 | bystander   | free  | egt-cold-soak                 | Intake air temperature: implausible
P0112 | bystander   | free  | supply                        | Intake air temperature: signal low
P0113 | bystander   | free  | supply                        | Intake air temperature: signal high
P0115 | cause       | holds | thermostat supply             | Coolant temperature: circuit
P0116 | cause       | holds | thermostat                    | Coolant temperature: implausible
P0117 | cause       | holds | supply                        | Coolant temperature: signal low
P0118 | cause       | holds | supply                        | Coolant temperature: signal high
P0119 | cause       | holds | supply                        | Coolant temperature: intermittent signal
P0125 | cause       | holds | thermostat                    | Coolant takes too long to warm
P0126 | cause       | holds | thermostat                    | Coolant not warm enough for steady running
P0128 | cause       | holds | thermostat                    | Coolant stays under what the thermostat should keep
P0191 | bystander   | holds | injectors                     | Rail pressure sensor: implausible
P0201 | bystander   | holds | injectors                     | Injector of cylinder 1: circuit
P0202 | bystander   | holds | injectors                     | Injector of cylinder 2: circuit
P0203 | bystander   | holds | injectors                     | Injector of cylinder 3: circuit
P0204 | bystander   | holds | injectors                     | Injector of cylinder 4: circuit
P0217 | bystander   | holds | thermostat                    | Engine too hot
P0234 | cause       | holds | vane-sweep absolute-agree     | Boost too high
P0235 | cause       | holds | absolute-agree supply         | Boost sensor: circuit
P0236 | cause       | holds | absolute-agree sensor-compare | Boost sensor: implausible
P0237 | cause       | holds | absolute-agree supply         | Boost sensor: signal low
P0238 | cause       | holds | absolute-agree supply         | Boost sensor: signal high
P0299 | cause       | holds | intake-smoke vane-sweep turbo | Boost too low
P0300 | cause       | holds | injectors                     | Misfires, in more than one cylinder
P0380 | cause       | holds | glow                          | Glow plugs or heater: their circuit
P0381 | bystander   | free  | glow                          | Glow lamp: circuit
P0382 | cause       | holds | glow                          | Glow plugs or heater, second circuit
P0383 | cause       | holds | glow                          | Glow control: circuit low
P0384 | cause       | holds | glow                          | Glow control: circuit high
P0400 | cause       | holds | egr air-mass                  | EGR: flow implausible
P0401 | cause       | holds | egr air-mass                  | EGR: too little flow
P0402 | cause       | holds | egr air-mass                  | EGR: too much flow
P0403 | cause       | holds | egr supply                    | EGR valve: circuit
P0404 | cause       | holds | egr                           | EGR valve: not where it should be
P0405 | cause       | holds | egr supply                    | EGR position: signal low
P0406 | cause       | holds | egr supply                    | EGR position: signal high
P0409 | cause       | holds | egr supply                    | EGR position: circuit
P0420 | consequence | free  | sections filter-look          | Catalyst converts too little
P042E | cause       | holds | egr                           | EGR valve stuck open
P042F | cause       | holds | egr                           | EGR valve stuck shut
P0460 | bystander   | holds | fuel-level                    | Fuel level: circuit
P0461 | bystander   | holds | fuel-level                    | Fuel level: implausible
P0462 | bystander   | holds | fuel-level                    | Fuel level: signal low
P0463 | bystander   | holds | fuel-level                    | Fuel level: signal high
P0470 | cause       | holds | absolute-agree supply         | Exhaust pressure sensor: circuit
P0471 | cause       | holds | absolute-agree pipe-response  | Exhaust pressure sensor: implausible
P0472 | cause       | holds | absolute-agree supply         | Exhaust pressure sensor: signal low
P0473 | cause       | holds | absolute-agree gauge supply   | Exhaust pressure sensor: signal high
P0474 | cause       | holds | supply                        | Exhaust pressure sensor: intermittent signal
P0475 | bystander   | holds | gauge                         | Exhaust pressure valve: circuit
P0476 | cause       | holds | gauge sections                | Exhaust pressure valve: does not respond
P0489 | cause       | holds | egr supply                    | EGR valve: control circuit low
P0490 | cause       | holds | egr supply                    | EGR valve: control circuit high
P0500 | bystander   | holds | supply                        | Vehicle speed: circuit
P0504 | bystander   | free  | supply                        | Brake switches do not agree
P0524 | bystander   | holds | oil                           | Oil pressure too low
P0544 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: circuit
P0545 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: signal low
P0546 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: signal high
P0547 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: circuit
P0548 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: signal low
P0549 | cause       | holds | egt-position egt-resistance   | EGT sensor 1 of the second bank: signal high
P0560 | bystander   | holds | supply                        | Battery voltage: implausible
P0562 | bystander   | holds | supply                        | Battery voltage too low
P0563 | bystander   | holds | supply                        | Battery voltage too high
P0571 | bystander   | free  | supply                        | Brake switch: circuit
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
P0670 | cause       | holds | glow                          | Glow control unit: circuit
P0671 | cause       | holds | glow                          | Glow plug of cylinder 1: circuit
P0672 | cause       | holds | glow                          | Glow plug of cylinder 2: circuit
P0673 | cause       | holds | glow                          | Glow plug of cylinder 3: circuit
P0674 | cause       | holds | glow                          | Glow plug of cylinder 4: circuit
P0675 | cause       | holds | glow                          | Glow plug of cylinder 5: circuit
P0676 | cause       | holds | glow                          | Glow plug of cylinder 6: circuit
P0677 | cause       | holds | glow                          | Glow plug of cylinder 7: circuit
P0678 | cause       | holds | glow                          | Glow plug of cylinder 8: circuit
P0683 | cause       | holds | glow supply                   | Glow control unit does not answer
P2002 | consequence | holds | filter-look dp-zero hoses     | Filter efficiency too low, or its pressure reads too low
P2003 | consequence | holds | filter-look dp-zero hoses     | Filter of the second bank holds back too little
P2031 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: circuit
P2032 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: signal low
P2033 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: signal high
P2080 | cause       | holds | egt-position egt-cold-soak    | EGT sensor 1: implausible
P2081 | cause       | holds | egt-position egt-resistance   | EGT sensor 1: intermittent signal
P2084 | cause       | holds | egt-position egt-cold-soak    | EGT sensor 2: implausible
P2085 | cause       | holds | egt-position egt-resistance   | EGT sensor 2: intermittent signal
P20CB | cause       | holds | dosing-injector supply        | Fuel doser: circuit open
P20CC | cause       | holds | dosing-injector               | Fuel doser: does not respond
P20CD | cause       | holds | dosing-injector supply        | Fuel doser: circuit low
P20CE | cause       | holds | dosing-injector supply        | Fuel doser: circuit high
P20EE | consequence | free  | sections filter-look          | Nitrogen oxides: the catalyst converts too little
P2200 | bystander   | free  | supply                        | Nitrogen oxide sensor 1: circuit
P2201 | bystander   | free  | supply                        | Nitrogen oxide sensor 1: implausible
P2226 | cause       | holds | absolute-agree                | Barometer: circuit
P2227 | cause       | holds | absolute-agree                | Barometer: implausible
P2228 | cause       | holds | absolute-agree                | Barometer: signal low
P2229 | cause       | holds | absolute-agree                | Barometer: signal high
P2263 | cause       | holds | intake-smoke vane-sweep turbo | Boost: below target
P226D | consequence | holds | filter-look                   | Filter damaged or its core missing
P2279 | cause       | holds | intake-smoke air-mass         | Air leaks into or out of the intake
P2413 | cause       | holds | egr                           | EGR: system malfunction
P242A | cause       | holds | egt-position egt-resistance   | EGT sensor 3: circuit
P242B | cause       | holds | egt-position egt-cold-soak    | EGT sensor 3: implausible
P242C | cause       | holds | egt-position egt-resistance   | EGT sensor 3: signal low
P242D | cause       | holds | egt-position egt-resistance   | EGT sensor 3: signal high
P242E | cause       | holds | egt-position egt-resistance   | EGT sensor 3: intermittent signal
P242F | consequence | holds | counter filter-look           | Ash has filled the filter, by counting or by pressure
P2425 | bystander   | free  | egr supply                    | Valve of the EGR cooler: circuit open
P2428 | consequence | holds | injectors dosing-injector     | Exhaust gas too hot
P244A | cause       | free  | hoses dp-zero filter-look     | Pressure across the filter too low
P244B | consequence | free  | dp-zero pipe-response counter | Pressure across the filter too high
P244C | cause       | holds | dosing-injector egt-position  | Exhaust too cool for a regeneration
P244D | consequence | holds | dosing-injector injectors     | Exhaust too hot in a regeneration
P2452 | cause       | holds | dp-electrical hoses           | ΔP sensor: circuit
P2453 | cause       | holds | dp-zero hoses dp-ladder       | ΔP sensor: implausible
P2454 | cause       | holds | dp-electrical hoses           | ΔP sensor: signal low
P2455 | cause       | holds | dp-electrical gauge           | ΔP sensor: signal high
P2456 | cause       | holds | dp-electrical hoses           | ΔP sensor: intermittent signal
P2457 | bystander   | free  | egr                           | EGR: cooling malfunction
P2458 | consequence | free  | dosing-injector egt-position  | Regeneration too long or not completed
P2459 | consequence | free  | counter oil pipe-response     | Regenerations come too often
P2463 | consequence | free  | dp-zero pipe-response counter | Too much soot in the filter, by counting or by pressure
P246C | consequence | holds | gauge counter                 | Filter restricted: power is limited by force
P246E | cause       | holds | egt-position egt-resistance   | EGT sensor 4: circuit
P246F | cause       | holds | egt-position egt-cold-soak    | EGT sensor 4: implausible
P2470 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: signal low
P2471 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: signal high
P2472 | cause       | holds | egt-position egt-resistance   | EGT sensor 4: intermittent signal
P24A2 | consequence | free  | dosing-injector egt-position  | Regeneration not completed
P24AE | bystander   | free  | filter-look supply            | Soot sensor after the filter: circuit
P252F | cause       | holds | oil                           | Engine oil: level too high
P2562 | cause       | holds | vane-sweep supply             | Position of the vanes: circuit
P2563 | cause       | holds | vane-sweep                    | Position of the vanes: implausible
P2564 | cause       | holds | vane-sweep supply             | Position of the vanes: signal low
P2565 | cause       | holds | vane-sweep supply             | Position of the vanes: signal high
U0001 | bystander   | free  | supply                        | Fast data line between the modules
U0100 | bystander   | holds | supply                        | A module gets no messages from the ECU
U0101 | bystander   | free  | supply                        | A module gets no messages from the gearbox
U0121 | bystander   | free  | supply                        | A module gets no messages from the brakes
`;
