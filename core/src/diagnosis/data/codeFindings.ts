/**
 * Codes by what they are about. A line: id | leak | links | codes, heavy parameters as SPN | sentence | why so. A code sets
 * its finding; a scan without it sets the finding as not seen, as modules set what they see, if the scan was kept.
 */
export const CODE_FINDINGS = `
code-soot-high       | 0.003 | soot-loaded .99 counter-not-reset .95 dp-sensor-failed:stuck .66 sensor-wiring:ground .48 short-trips .35 dp-sensor-failed:zero-off .34 downstream-restricted .1 catalyst-restricted:between-taps .8 ash-full .02 low-pipe-blocked .02 -soot-counter-reset .02 -high-pipe-blocked .02 | P2463 P244B P246C SPN3719 | Code for much soot or pressure | counted, or by pressure
code-dp-too-low      | 0.003 | filter-cracked .05 dp-hose-off .05 dp-hoses-crossed .04 high-pipe-blocked .03 dp-sensor-wrong .02 | P244A P226D | Code for too little pressure | nothing reaches the sensor, or nothing holds the gas
code-ash             | 0.003 | ash-full .18 | P242F SPN3720 | Code for ash | by distance, or pressure after a regeneration
code-efficiency      | 0.003 | dp-sensor-failed:low .06 filter-cracked .06 dp-hose-off .02 dp-hoses-crossed .02 high-pipe-blocked .02 dp-sensor-wrong .02 | P2002 P2003 SPN3936 | Code for a filter that holds back too little | low pressure for its flow
code-dp-circuit      | 0.003 | dp-sensor-failed:dead .77 sensor-wiring .02 | P2452 P2454 P2455 P2456 | Code for the circuit of the ΔP sensor | volts out of range
code-dp-plausible    | 0.003 | dp-hoses-crossed .99 dp-hose-off .99 dp-sensor-failed:dead .98 dp-sensor-failed:stuck .87 sensor-wiring:supply .7 dp-sensor-failed:low .55 sensor-wiring:ground .5 filter-cracked .48 high-pipe-blocked .25 dp-sensor-wrong .19 air-meter-failed:high .13 dp-sensor-failed:zero-off .07 manifold-sensor-failed:off .04 low-pipe-blocked .04 charge-leak .03 | P2453 SPN3251 | Code for a ΔP that does not fit | tests at rest and under load
code-back-pressure   | 0.003 | sensor-wiring:supply .9 back-pressure-sensor-failed:off .87 sensor-wiring:ground .6 back-pressure-sensor-failed:stuck .49 back-pressure-pipe-blocked:broken .08 air-meter-failed:high .03 back-pressure-pipe-blocked:blocked .02 vanes-stuck .02 | P0470 P0471 P0472 P0473 P0474 SPN1209 | Code for the pressure before the turbine | its range, or its fit
code-manifold        | 0.003 | manifold-sensor-failed:off .76 sensor-wiring:ground .44 boost-leak .38 sensor-wiring:supply .36 manifold-sensor-failed:stuck .34 charge-leak .22 vanes-stuck:shut .21 manifold-sensor-failed:slow .05 intake-leak .02 | P0069 P0105 P0106 P0107 P0108 P0109 P0235 P0236 P0237 P0238 SPN102 | Code for manifold pressure | its range, or its fit
code-air-mass        | 0.003 | charge-leak .99 air-meter-failed .97 intake-leak .96 sensor-wiring:supply .7 manifold-sensor-failed:stuck .26 egr-stuck-open .02 | P0100 P0101 P0102 P0103 P0104 P2279 SPN132 | Code for air mass | it does not fit speed and load
code-boost-low       | 0.003 | charge-leak .07 boost-leak .07 vanes-stuck .05 intake-leak .02 | P0299 P2263 | Code for too little boost | lost, not made, or not measured
code-boost-high      | 0.003 | vanes-stuck:shut .27 manifold-sensor-failed .02 | P0234 | Code for too much boost | vanes shut
code-vanes           | 0.003 | vanes-stuck .06 | P0045 P0046 P0047 P0048 P2562 P2563 P2564 P2565 SPN641 | Code for the turbine’s vanes | position and wish do not agree
code-egr             | 0.003 | egr-stuck-open .99 injector-over-fuelling .06 sensor-wiring:supply .05 egr-cooler-fouled .02 | P0400 P0401 P0402 P0403 P0404 P0405 P0406 P0409 P042E P042F P2413 SPN27 SPN2791 SPN411 | Code for recirculation | flow or position
code-egr-cooling     | 0.003 | egr-cooler-fouled .04 | P2457 P2425 SPN4752 | Code for the cooling of recirculation | too hot behind it
code-egt1            | 0.003 | egt1-failed .33 sensor-wiring .02 | P0544 P0545 P0546 P2080 P2081 SPN173 | Code for EGT 1 | circuit, or fit
code-egt2            | 0.003 | egt2-failed .45 sensor-wiring .02 | P2031 P2032 P2033 P2084 P2085 SPN4765 | Code for EGT 2 | circuit, or fit
code-egt3            | 0.003 | egt3-failed .55 sensor-wiring .02 | P242A P242B P242C P242D P242E SPN3242 | Code for EGT 3 | circuit, or fit
code-egt4            | 0.003 | egt4-failed .33 short-trips .08 charge-leak .07 dp-sensor-failed:low .06 sensor-wiring .02 | P246E P246F P2470 P2471 P2472 SPN3246 | Code for EGT 4 | circuit, or fit
code-glow            | 0.003 | glow-plugs-failed .99 | P0380 P0382 P0383 P0384 P0670 P0671 P0672 P0673 P0674 P0675 P0676 P0677 P0678 P0683 SPN676 | Code for glow plugs | circuit by cylinder or whole
code-coolant         | 0.003 | thermostat-stuck-open .49 | P0115 P0116 P0117 P0118 P0119 P0125 P0126 P0128 SPN110 | Code for a coolant that stays cool | after a time at load
code-dosing          | 0.003 | dosing-injector-blocked .04 | P20CB P20CC P20CD P20CE SPN3556 | Code for fuel into the exhaust | circuit or flow
code-too-cool        | 0.003 | dosing-injector-blocked .06 egt3-failed .02 intake-leak .02 | P244C | Code for an exhaust too cool to regenerate | no heat, or not seen
code-not-finished    | 0.003 | short-trips .29 dp-sensor-failed:zero-off .09 dp-sensor-failed:stuck .09 dp-sensor-failed:low .08 vanes-stuck:open .04 downstream-restricted .04 dp-sensor-failed:dead .02 dosing-injector-blocked .02 thermostat-stuck-open .02 soot-loaded .02 | P2458 P24A2 SPN5319 | Code for a regeneration that was not finished | time or heat ran out
code-too-often       | 0.003 | ash-full .05 injector-over-fuelling .03 high-pipe-blocked .02 low-pipe-blocked .02 egr-stuck-open .02 oil-in-exhaust .02 | P2459 | Code for regenerations that come too often | less room, or more soot
code-supply          | 0.003 | sensor-wiring .06 | P0641 P0642 P0643 P0651 P0652 P0653 P0697 P0698 P0699 | Code for the supply of sensors | 5 V out of range
`;
