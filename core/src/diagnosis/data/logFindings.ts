/**
 * What a recorded log shows (`core/readings`), with what brings it about and what hides it. A line:
 * id | chance of seeing it without any of our causes | cause chance …, a masking cause with a minus | sentence | why so.
 */
export const LOG_FINDINGS = `
dp-no-response           | 0.003 | dp-sensor-failed .55 sensor-wiring .25 high-pipe-blocked .5 dp-hose-off .35 filter-cracked .25 | ΔP does not move with the flow | a dead sensor, or nothing reaches it
dp-stuck-high            | 0.003 | dp-sensor-failed .3 sensor-wiring .1 | ΔP stands high also with the engine off | no pressure does so
dp-zero-offset           | 0.01  | dp-sensor-failed .25 sensor-wiring .5 dp-sensor-wrong .1 low-pipe-blocked .08 | ΔP is not zero with the engine off | drift, a poor ground, gas shut in
dp-reversed              | 0.002 | dp-hoses-crossed .9 high-pipe-blocked .2 -dp-sensor-failed .5 | ΔP falls as the flow rises | crossed hoses, or a high pipe so shut that only the low side is left
dp-slow-response         | 0.005 | high-pipe-blocked .7 low-pipe-blocked .35 -dp-sensor-failed .6 | ΔP is slow to follow the flow | a restricted pipe is a slow one
dp-saturated             | 0.002 | soot-loaded .05 dp-sensor-failed .1 dp-sensor-wrong .1 | ΔP stands at the end of its scale | more than the sensor can show
dp-high-idle             | 0.02  | soot-loaded .45 ash-full .4 catalyst-restricted .05 downstream-restricted .12 dp-sensor-failed .2 sensor-wiring .2 low-pipe-blocked .2 -high-pipe-blocked .7 -dp-hose-off .8 -dp-hoses-crossed .9 -filter-cracked .7 -dp-sensor-wrong .5 | ΔP is high at idle | a restriction, or an offset; a blind sensor hides it
dp-high-hold             | 0.02  | soot-loaded .6 ash-full .5 catalyst-restricted .06 downstream-restricted .2 dp-sensor-failed .2 sensor-wiring .1 low-pipe-blocked .3 -high-pipe-blocked .75 -dp-hose-off .8 -dp-hoses-crossed .9 -filter-cracked .8 -dp-sensor-wrong .6 | ΔP is high in a hold | a restriction at a flow that shows it
dp-low-for-flow          | 0.01  | filter-cracked .75 dp-hose-off .7 dp-sensor-wrong .55 dp-sensor-failed .25 high-pipe-blocked .35 dp-hoses-crossed .3 | ΔP is lower than a clean filter can show | nothing holds the gas back, or the sensor does not get it
dp-falling               | 0.02  | counter-not-reset .05 | ΔP falls while the speed is held | a wet filter dries
ebp-low-for-boost        | 0.003 | back-pressure-pipe-blocked .5 back-pressure-sensor-failed .2 | Pressure before the turbine far below the boost at full load | a cracked or clogged tube
ebp-no-response          | 0.003 | back-pressure-sensor-failed .5 back-pressure-pipe-blocked .35 sensor-wiring .1 | Pressure before the turbine does not move | dead, or shut off
ebp-slow-decay           | 0.005 | back-pressure-pipe-blocked .65 -back-pressure-sensor-failed .6 | Pressure before the turbine is slow to fall | a restricted pipe
ebp-key-on-mismatch      | 0.008 | back-pressure-sensor-failed .45 back-pressure-pipe-blocked .25 sensor-wiring .4 | Pressure before the turbine is off the barometer with the engine off | offset, or gas shut in
map-key-on-mismatch      | 0.005 | manifold-sensor-failed .5 sensor-wiring .4 | Manifold pressure is off the barometer with the engine off | offset, or a poor ground
map-no-response          | 0.004 | manifold-sensor-failed .4 boost-leak .1 vanes-stuck .1 | Manifold pressure does not move | dead, or no boost at all
map-slow-decay           | 0.004 | manifold-sensor-failed .35 | Manifold pressure is slow to fall | its pipe
maf-low-for-speed        | 0.01  | intake-leak .7 air-meter-failed .45 egr-stuck-open .45 | Air mass is low for speed and manifold pressure | air that is not counted, a meter that reads low, or gas in its place
maf-high-for-speed       | 0.008 | charge-leak .55 air-meter-failed .45 -intake-leak .5 | Air mass is high for speed and manifold pressure | counted air is lost behind, or the meter reads high
egt1-open                | 0.002 | egt1-failed .45 sensor-wiring .02 | EGT 1 shows a circuit, no temperature | open or shorted
egt2-open                | 0.002 | egt2-failed .45 sensor-wiring .02 | EGT 2 shows a circuit, no temperature | open or shorted
egt3-open                | 0.002 | egt3-failed .45 sensor-wiring .02 | EGT 3 shows a circuit, no temperature | open or shorted
egt4-open                | 0.002 | egt4-failed .45 sensor-wiring .02 | EGT 4 shows a circuit, no temperature | open or shorted
egt1-stuck               | 0.003 | egt1-failed .3 | EGT 1 stands still while others move | stuck
egt2-stuck               | 0.003 | egt2-failed .3 | EGT 2 stands still while others move | stuck
egt3-stuck               | 0.003 | egt3-failed .3 | EGT 3 stands still while others move | stuck
egt4-stuck               | 0.003 | egt4-failed .3 | EGT 4 stands still while others move | stuck
egt1-cold-mismatch       | 0.006 | egt1-failed .3 sensor-wiring .05 | EGT 1 is off the others with a cold engine | it reads wrong
egt2-cold-mismatch       | 0.006 | egt2-failed .3 sensor-wiring .05 | EGT 2 is off the others with a cold engine | it reads wrong
egt3-cold-mismatch       | 0.006 | egt3-failed .3 sensor-wiring .05 | EGT 3 is off the others with a cold engine | it reads wrong
egt4-cold-mismatch       | 0.006 | egt4-failed .3 sensor-wiring .05 | EGT 4 is off the others with a cold engine | it reads wrong
egt-order                | 0.01  | egt1-failed .2 egt2-failed .2 egt3-failed .2 egt4-failed .2 | EGTs do not fall from the engine outward | one of them reads wrong
coolant-below-regen-temperature | 0.02 | thermostat-stuck-open .8 | Coolant comes to rest too cool | it does not close
regen-event              | 0.1   | soot-loaded .05 | A regeneration was recorded | by chance, and more often when soot calls for it
soot-high                | 0.03  | soot-loaded .75 counter-not-reset .8 high-pipe-blocked .05 low-pipe-blocked .1 -soot-counter-reset .9 | The engine computer counts much soot | it counts by running and by pressure
soot-disagrees-with-pressure | 0.02 | soot-counter-reset .7 ash-full .5 counter-not-reset .5 dp-sensor-failed .2 high-pipe-blocked .3 dp-hose-off .3 downstream-restricted .2 | Counted soot and pressure do not agree | one of the two does not know
`;
