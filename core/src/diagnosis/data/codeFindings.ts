/**
 * Codes by what they are about, with their direction and circuit. A line: id | leak | links | codes, heavy parameters as SPN |
 * sentence | why so. A chance is that of a talkative computer that has set and kept the code; how readily the vehicle’s own does is
 * a hidden temper (`scanChance.ts`). None is above 0.65 but where the code is the circuit’s own: computers tolerate much. Estimates
 * from the trade and from what the tests of such codes look at; none is fitted to the simulated vehicle.
 */
export const CODE_FINDINGS = `
code-soot-high       | 0.004 | soot-loaded .65 counter-not-reset .6 catalyst-restricted:between-taps .4 dp-sensor-failed:stuck .3 sensor-wiring:ground .25 dp-sensor-failed:zero-off .2 ash-full .2 low-pipe-blocked .1 downstream-restricted .05 | P2463 P244B P246C P252F SPN3719 | Code for much soot or pressure | counted, or by pressure
code-dp-too-low      | 0.003 | dp-hose-off .4 high-pipe-blocked .4 dp-hoses-crossed .35 filter-cracked .3 dp-sensor-failed:low .3 dp-sensor-failed:dead .2 dp-sensor-wrong .2 | P244A P226D | Code for too little pressure | nothing reaches the sensor, or nothing holds the gas
code-ash             | 0.003 | ash-full .5 | P242F SPN3720 | Code for ash | by distance, or pressure after a regeneration
code-efficiency      | 0.004 | high-pipe-blocked .4 dp-hose-off .35 filter-cracked .3 dp-hoses-crossed .25 dp-sensor-failed:low .25 low-pipe-blocked .2 dp-sensor-wrong .2 dp-sensor-failed:dead .1 | P2002 P2003 SPN3936 | Code for a filter that holds back too little | low pressure for its flow
code-dp-circuit      | 0.003 | dp-sensor-failed:dead .75 sensor-wiring:supply .5 sensor-wiring:ground .3 dp-sensor-failed:stuck .15 | P2452 P2454 P2455 P2456 | Code for the circuit of the ΔP sensor | volts out of range
code-dp-plausible    | 0.003 | dp-sensor-failed:stuck .5 dp-hoses-crossed .5 dp-hose-off .45 high-pipe-blocked .4 dp-sensor-failed:dead .4 dp-sensor-failed:zero-off .35 sensor-wiring:ground .35 sensor-wiring:supply .35 dp-sensor-wrong .35 dp-sensor-failed:low .3 low-pipe-blocked .3 filter-cracked .15 | P2453 SPN3251 | Code for a ΔP that does not fit | tests at rest and under load
code-back-pressure   | 0.003 | back-pressure-pipe-blocked .6 back-pressure-sensor-failed .5 sensor-wiring .2 vanes-stuck .04 | P0471 P0474 SPN1209 | Code for a pressure before the turbine that does not fit | slow, still, or off the air at rest
code-back-pressure-circuit | 0.003 | sensor-wiring .5 back-pressure-sensor-failed:stuck .4 back-pressure-sensor-failed:off .2 | P0470 P0472 P0473 | Code for the circuit of the back-pressure sensor | volts out of range
code-manifold        | 0.004 | manifold-sensor-failed .55 sensor-wiring .2 charge-leak .1 turbocharger-worn .08 vanes-stuck .08 | P0069 P0106 P0109 P0235 P0236 SPN102 | Code for a manifold pressure that does not fit | off the air at rest, or off what is called for
code-manifold-circuit | 0.003 | sensor-wiring .5 manifold-sensor-failed:stuck .4 manifold-sensor-failed:off .2 | P0105 P0107 P0108 P0237 P0238 | Code for the circuit of the manifold pressure sensor | volts out of range
code-air-mass        | 0.005 | intake-leak .55 air-meter-failed .55 charge-leak .35 egr-stuck-open .3 back-pressure-pipe-blocked .12 back-pressure-sensor-failed .12 manifold-sensor-failed .15 egr-stuck-shut .15 | P0101 P2279 SPN132 | Code for an air mass that does not fit | against speed, load and recirculation
code-air-mass-circuit | 0.003 | air-meter-failed .5 sensor-wiring .35 | P0100 P0102 P0103 P0104 | Code for the circuit of the air meter | volts or pulses out of range
code-boost-low       | 0.005 | charge-leak .5 vanes-stuck:open .5 turbocharger-worn .4 back-pressure-pipe-blocked .35 back-pressure-sensor-failed .35 manifold-sensor-failed .25 intake-leak .2 catalyst-restricted .15 downstream-restricted .15 soot-loaded .05 | P0299 P2263 | Code for too little boost | lost, not made, not measured, or the vanes are driven blind
code-boost-high      | 0.003 | vanes-stuck:shut .5 manifold-sensor-failed .2 back-pressure-sensor-failed .1 | P0234 | Code for too much boost | vanes shut
code-vanes           | 0.003 | vanes-stuck .6 sensor-wiring .12 back-pressure-pipe-blocked .08 back-pressure-sensor-failed .08 | P0045 P0046 P0047 P0048 P2562 P2563 P2564 P2565 SPN641 | Code for the turbine’s vanes | position and wish do not agree
code-egr-low         | 0.005 | egr-stuck-shut .6 egr-cooler-fouled .3 air-meter-failed:high .2 back-pressure-pipe-blocked .12 back-pressure-sensor-failed .12 manifold-sensor-failed .12 vanes-stuck .1 | P0400 P0401 P042F SPN2791 | Code for too little recirculation | shut, or its way is narrow
code-egr-high        | 0.003 | egr-stuck-open .6 air-meter-failed:low .2 intake-leak .2 | P0402 P042E | Code for too much recirculation | it does not shut
code-egr-position    | 0.003 | egr-stuck-open .35 egr-stuck-shut .35 sensor-wiring .25 | P0403 P0404 P0405 P0406 P0409 P2413 SPN27 SPN411 | Code for the recirculation valve’s position | it does not go where it is sent
code-egr-cooling     | 0.003 | egr-cooler-fouled .5 | P2457 P2425 SPN4752 | Code for the cooling of recirculation | too hot behind it
code-egt1            | 0.003 | egt1-failed .8 sensor-wiring .12 | P0544 P0545 P0546 P2080 P2081 SPN173 | Code for EGT 1 | its own circuit, or fit
code-egt2            | 0.003 | egt2-failed .8 sensor-wiring .12 | P2031 P2032 P2033 P2084 P2085 SPN4765 | Code for EGT 2 | its own circuit, or fit
code-egt3            | 0.003 | egt3-failed .8 sensor-wiring .12 | P242A P242B P242C P242D P242E SPN3242 | Code for EGT 3 | its own circuit, or fit
code-egt4            | 0.003 | egt4-failed .8 sensor-wiring .12 | P246E P246F P2470 P2471 P2472 SPN3246 | Code for EGT 4 | its own circuit, or fit
code-glow            | 0.003 | glow-plugs-failed .8 | P0380 P0382 P0383 P0384 P0670 P0671 P0672 P0673 P0674 P0675 P0676 P0677 P0678 P0683 SPN676 | Code for glow plugs | their own circuit, by cylinder or whole
code-coolant         | 0.003 | thermostat-stuck-open .6 | P0125 P0126 P0128 SPN110 | Code for a coolant that stays cool | after a time at load
code-coolant-circuit | 0.02  | sensor-wiring .15 | P0115 P0116 P0117 P0118 P0119 | Code for the circuit of the coolant sensor | the sensor or its wire, not the coolant
code-dosing          | 0.003 | dosing-injector-blocked .5 sensor-wiring .1 | P20CB P20CC P20CD P20CE SPN3556 | Code for fuel into the exhaust | circuit or flow
code-too-cool        | 0.004 | dosing-injector-blocked .4 egt3-failed .15 thermostat-stuck-open .1 intake-leak .08 catalyst-restricted .1 | P244C | Code for an exhaust too cool to regenerate | no heat, or not seen
code-not-finished    | 0.005 | short-trips .5 dosing-injector-blocked .3 thermostat-stuck-open .15 egt3-failed .1 glow-plugs-failed .1 soot-loaded .1 | P2458 P24A2 SPN5319 | Code for a regeneration that was not finished | time or heat ran out
code-too-often       | 0.004 | ash-full .4 injector-over-fuelling .3 egr-stuck-open .25 oil-in-exhaust .2 low-pipe-blocked .15 short-trips .15 intake-leak .15 charge-leak .15 | P2459 | Code for regenerations that come too often | less room, or more soot
code-oil-diluted     | 0.003 | oil-counter .5 dosing-injector-blocked .15 injector-over-fuelling .1 | P252C P252F P250B SPN5317 | Code for the oil’s quality or level | counted, or fuel in it
code-supply          | 0.003 | sensor-wiring .8 dp-sensor-failed:dead .05 | P0641 P0642 P0643 P0651 P0652 P0653 P0697 P0698 P0699 | Code for the supply of sensors | 5 V out of range
`;
