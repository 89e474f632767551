/**
 * What a recorded log shows (`core/readings`), with what brings it about and what hides it. A line:
 * id | chance of seeing it without any of our causes | cause chance …, a masking cause with a minus | sentence | why so.
 */
export const LOG_FINDINGS = `
dp-no-response           | 0.0008 | dp-sensor-failed .34 high-pipe-blocked .1 sensor-wiring .09 dp-hose-off .07 filter-cracked .05 | ΔP does not move with the flow | a dead sensor, or nothing reaches it
dp-stuck-high            | 0.0008 | dp-sensor-failed .23 sensor-wiring .02 | ΔP stands high also with the engine off | no pressure does so
dp-zero-offset           | 0.0008 | sensor-wiring .83 dp-sensor-failed .18 dp-sensor-wrong .02 low-pipe-blocked .02 | ΔP is not zero with the engine off | drift, a poor ground, gas shut in
dp-reversed              | 0.0008 | dp-hoses-crossed .93 dp-hose-off .42 high-pipe-blocked .04 -dp-sensor-failed .52 | ΔP falls as the flow rises | crossed hoses, or a high pipe so shut that only the low side is left
dp-slow-response         | 0.0008 | high-pipe-blocked .44 low-pipe-blocked .07 -dp-sensor-failed .62 | ΔP is slow to follow the flow | a restricted pipe is a slow one
dp-saturated             | 0.002 | soot-loaded .05 dp-sensor-failed .1 dp-sensor-wrong .1 | ΔP stands at the end of its scale | more than the sensor can show
dp-high-idle             | 0.0014 | soot-loaded .87 sensor-wiring .61 dp-sensor-failed .44 ash-full .29 short-trips .16 low-pipe-blocked .04 downstream-restricted .02 -dp-hoses-crossed .96 -dp-sensor-wrong .51 -dp-hose-off .45 -high-pipe-blocked .41 -filter-cracked .25 | ΔP is high at idle | a restriction, or an offset; a blind sensor hides it
dp-high-hold             | 0.0014 | soot-loaded .88 sensor-wiring .46 ash-full .45 dp-sensor-failed .3 short-trips .25 downstream-restricted .23 low-pipe-blocked .06 -dp-hoses-crossed .96 -dp-hose-off .92 -high-pipe-blocked .68 -filter-cracked .51 -dp-sensor-wrong .32 | ΔP is high in a hold | a restriction at a flow that shows it
dp-low-for-flow          | 0.0008 | filter-cracked .32 dp-sensor-failed .15 dp-hose-off .14 dp-sensor-wrong .11 high-pipe-blocked .07 dp-hoses-crossed .06 | ΔP is lower than a clean filter can show | nothing holds the gas back, or the sensor does not get it
dp-falling               | 0.02  | counter-not-reset .05 | ΔP falls while the speed is held | a wet filter dries
ebp-low-for-boost        | 0.003 | back-pressure-pipe-blocked .5 back-pressure-sensor-failed .2 | Pressure before the turbine far below the boost at full load | a cracked or clogged tube
ebp-no-response          | 0.0008 | back-pressure-sensor-failed .46 back-pressure-pipe-blocked .07 sensor-wiring .02 | Pressure before the turbine does not move | dead, or shut off
ebp-slow-decay           | 0.0008 | back-pressure-pipe-blocked .5 -back-pressure-sensor-failed .62 | Pressure before the turbine is slow to fall | a restricted pipe
ebp-key-on-mismatch      | 0.0008 | sensor-wiring .87 back-pressure-sensor-failed .57 back-pressure-pipe-blocked .05 | Pressure before the turbine is off the barometer with the engine off | offset, or gas shut in
map-key-on-mismatch      | 0.0008 | sensor-wiring .87 manifold-sensor-failed .45 | Manifold pressure is off the barometer with the engine off | offset, or a poor ground
map-no-response          | 0.0008 | manifold-sensor-failed .36 boost-leak .02 vanes-stuck .02 | Manifold pressure does not move | dead, or no boost at all
map-slow-decay           | 0.0008 | manifold-sensor-failed .18 | Manifold pressure is slow to fall | its pipe
maf-low-for-speed        | 0.0008 | intake-leak .79 air-meter-failed .45 egr-stuck-open .09 | Air mass is low for speed and manifold pressure | air that is not counted, a meter that reads low, or gas in its place
maf-high-for-speed       | 0.0008 | charge-leak .81 air-meter-failed .51 -intake-leak .52 | Air mass is high for speed and manifold pressure | counted air is lost behind, or the meter reads high
egt1-open                | 0.0008 | egt1-failed .38 | EGT 1 shows a circuit, no temperature | open or shorted
egt2-open                | 0.0008 | egt2-failed .47 | EGT 2 shows a circuit, no temperature | open or shorted
egt3-open                | 0.0008 | egt3-failed .59 | EGT 3 shows a circuit, no temperature | open or shorted
egt4-open                | 0.0008 | egt4-failed .4 | EGT 4 shows a circuit, no temperature | open or shorted
egt1-stuck               | 0.0008 | egt1-failed .17 | EGT 1 stands still while others move | stuck
egt2-stuck               | 0.0008 | egt2-failed .34 | EGT 2 stands still while others move | stuck
egt3-stuck               | 0.0008 | egt3-failed .21 | EGT 3 stands still while others move | stuck
egt4-stuck               | 0.0008 | egt4-failed .29 | EGT 4 stands still while others move | stuck
egt1-cold-mismatch       | 0.006 | egt1-failed .3 sensor-wiring .05 | EGT 1 is off the others with a cold engine | it reads wrong
egt2-cold-mismatch       | 0.006 | egt2-failed .3 sensor-wiring .05 | EGT 2 is off the others with a cold engine | it reads wrong
egt3-cold-mismatch       | 0.006 | egt3-failed .3 sensor-wiring .05 | EGT 3 is off the others with a cold engine | it reads wrong
egt4-cold-mismatch       | 0.006 | egt4-failed .3 sensor-wiring .05 | EGT 4 is off the others with a cold engine | it reads wrong
egt-order                | 0.01  | egt1-failed .2 egt2-failed .2 egt3-failed .2 egt4-failed .2 | EGTs do not fall from the engine outward | one of them reads wrong
coolant-below-regen-temperature | 0.02 | thermostat-stuck-open .8 | Coolant comes to rest too cool | it does not close
regen-event              | 0.1   | soot-loaded .05 | A regeneration was recorded | by chance, and more often when soot calls for it
soot-high                | 0.002 | soot-loaded .95 counter-not-reset .73 sensor-wiring .25 dp-sensor-failed .17 low-pipe-blocked .02 -soot-counter-reset .43 | The engine computer counts much soot | it counts by running and by pressure
soot-disagrees-with-pressure | 0.02 | soot-counter-reset .7 ash-full .5 counter-not-reset .5 dp-sensor-failed .2 high-pipe-blocked .3 dp-hose-off .3 downstream-restricted .2 | Counted soot and pressure do not agree | one of the two does not know
`;
