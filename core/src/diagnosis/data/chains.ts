/**
 * How one cause brings another about, step by step. A line: cause | consequence | what goes on between, in order.
 * What stands at the end of a chain is repaired in vain while its beginning is left.
 */
export const CHAINS = `
short-trips             | soot-loaded | it never gets hot enough to burn off what it collects
charge-leak             | soot-loaded | air is lost behind the compressor; too little air; soot
intake-leak             | soot-loaded | air that is not counted; recirculation and fuel are set wrongly; soot, and the code holds regeneration off
air-meter-failed        | soot-loaded | the air is counted wrongly; recirculation and fuel are set wrongly; soot
turbocharger-worn              | soot-loaded | too little boost; too little air; soot
vanes-stuck             | soot-loaded | boost comes late or not at all; too little air; soot
egr-stuck-open          | soot-loaded | exhaust gas takes the place of air; too little oxygen; soot
egr-cooler-fouled       | soot-loaded | recirculated gas comes back hot and thin; less air; soot
injector-over-fuelling  | soot-loaded | too much fuel, badly mixed; soot
oil-in-exhaust          | ash-full    | burnt oil leaves its ash in the filter
oil-in-exhaust          | soot-loaded | oil burns with smoke and wets the soot
dosing-injector-blocked | soot-loaded | no fuel comes into the exhaust; a regeneration does not get hot; soot stays
glow-plugs-failed       | soot-loaded | the preheat fault holds regeneration off; soot stays
thermostat-stuck-open   | soot-loaded | the coolant stays too cool; regeneration is held off; soot stays
oil-counter             | soot-loaded | the counter or the diluted oil holds regeneration off; soot stays
fuel-low                | soot-loaded | too little fuel in the tank holds regeneration off; soot stays
egt1-failed             | soot-loaded | the temperature is not known; regeneration is held off; soot stays
egt2-failed             | soot-loaded | the temperature is not known; regeneration is held off; soot stays
egt3-failed             | soot-loaded | the temperature before the filter is not known; regeneration is held off; soot stays
egt4-failed             | soot-loaded | the temperature is not known; regeneration is held off; soot stays
sensor-wiring           | soot-loaded | sensors read wrong together; regeneration is held off; soot stays
dp-sensor-failed        | soot-loaded | the pressure is not believed; regeneration is held off; soot stays
manifold-sensor-failed  | soot-loaded | the air is reckoned wrongly; soot
back-pressure-sensor-failed | soot-loaded | its code holds regeneration off; soot stays
dp-sensor-failed        | counter-not-reset | the computer counts by a pressure that is not there; the counter stands too high
sensor-wiring           | counter-not-reset | the computer counts by a pressure that is not there; the counter stands too high
soot-loaded             | oil-counter | one failed regeneration after the other puts fuel into the oil
dosing-injector-blocked | oil-counter | regenerations that do not end put fuel into the oil
`;

/**
 * Causes that no check tells apart and that one repair ends: they count as one. A line: cause, cause | why.
 */
export const ALIKE = `
dp-sensor-failed, dp-sensor-wrong | a worn slope and a wrong range read alike at the pump; another sensor ends both
`;
