/**
 * What the suspect parameters of heavy vehicles (SAE J1939-71) are, in our own words.
 * A line: number | role | does it hold a regeneration off | checks | name.
 */
export const SUSPECT_PARAMETERS = `
27   | cause       | holds | egr                          | EGR valve, position
91   | bystander   | free  | supply                       | Pedal
94   | bystander   | holds | injectors                    | Fuel supply pressure
98   | bystander   | holds | oil                          | Oil level
100  | bystander   | holds | oil                          | Oil pressure
102  | cause       | holds | absolute-agree intake-smoke  | Boost pressure
105  | bystander   | free  | egt-cold-soak                | Manifold air temperature
108  | cause       | holds | absolute-agree               | Barometer
110  | cause       | holds | thermostat                   | Coolant temperature
111  | bystander   | holds | thermostat                   | Coolant level
132  | cause       | holds | air-mass intake-smoke        | Air mass
157  | bystander   | holds | injectors                    | Fuel rail pressure
168  | bystander   | holds | supply                       | Battery voltage
171  | bystander   | free  | egt-cold-soak                | Outside air temperature
173  | cause       | holds | egt-position egt-resistance  | Exhaust gas temperature
175  | bystander   | free  | oil                          | Oil temperature
190  | bystander   | holds | supply                       | Engine speed
411  | cause       | holds | egr air-mass                 | EGR, pressure difference
412  | cause       | holds | egr                          | EGR, temperature
641  | cause       | holds | vane-sweep turbo             | Turbine vanes, actuator
651  | bystander   | holds | injectors                    | Injector of cylinder 1
652  | bystander   | holds | injectors                    | Injector of cylinder 2
653  | bystander   | holds | injectors                    | Injector of cylinder 3
654  | bystander   | holds | injectors                    | Injector of cylinder 4
655  | bystander   | holds | injectors                    | Injector of cylinder 5
656  | bystander   | holds | injectors                    | Injector of cylinder 6
676  | cause       | holds | glow                         | Cold start aid, relay
1209 | cause       | holds | absolute-agree gauge         | Exhaust gas pressure
2659 | cause       | holds | egr air-mass                 | EGR, mass flow
2791 | cause       | holds | egr                          | EGR valve, control
3216 | bystander   | free  | supply                       | Nitrogen oxides before the aftertreatment
3226 | bystander   | free  | supply                       | Nitrogen oxides after the aftertreatment
3242 | cause       | holds | egt-position egt-resistance  | Gas temperature before the filter
3246 | cause       | holds | egt-position egt-resistance  | Gas temperature after the filter
3251 | cause       | holds | dp-zero hoses dp-electrical  | Pressure across the filter
3556 | cause       | holds | dosing-injector              | Fuel into the exhaust
3609 | cause       | holds | dp-zero hoses                | Pressure before the filter
3610 | cause       | holds | dp-zero hoses                | Pressure after the filter
3719 | consequence | free  | counter dp-zero              | Soot load of the filter
3720 | consequence | free  | counter filter-look          | Ash load of the filter
3936 | consequence | holds | filter-look dp-zero          | Filter system
4364 | consequence | free  | sections                     | Conversion of nitrogen oxides
4752 | cause       | holds | egr                          | EGR cooler
4765 | cause       | holds | egt-position egt-resistance  | Gas temperature before the catalyst
4766 | cause       | holds | egt-position egt-resistance  | Gas temperature after the catalyst
5319 | consequence | free  | dosing-injector egt-position | Regeneration not finished
`;

/** Failure modes (SAE J1939-73), in our own words. */
export const FAILURE_MODES: Readonly<Record<number, string>> = {
  0: 'far too high',
  1: 'far too low',
  2: 'intermittent or implausible',
  3: 'voltage high, or shorted to supply',
  4: 'voltage low, or shorted to ground',
  5: 'current low, or circuit open',
  6: 'current high, or circuit to ground',
  7: 'does not follow its command',
  8: 'frequency or pulse out of order',
  9: 'message too infrequent',
  10: 'changes faster than possible',
  11: 'cause not known',
  12: 'the device itself is faulty',
  13: 'out of calibration',
  14: 'see the maker’s instructions',
  15: 'somewhat too high',
  16: 'too high',
  17: 'somewhat too low',
  18: 'too low',
  19: 'the data received are in error',
  20: 'drifted high',
  21: 'drifted low',
  31: 'condition is there',
};
