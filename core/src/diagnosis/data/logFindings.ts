/**
 * What a recorded log shows (`core/readings`), with what brings it about and what hides it. A line:
 * id | chance of seeing it without any of our causes | cause chance …, a masking cause with a minus | sentence | why so.
 */
export const LOG_FINDINGS = `
dp-no-response           | 0.001 | dp-sensor-failed:dead .95 sensor-wiring:supply .11 dp-hoses-crossed .04 high-pipe-blocked .02 dp-hose-off .02 filter-cracked .02 | ΔP does not move with the flow | a dead sensor, or nothing reaches it
dp-stuck-high            | 0.001 | dp-sensor-failed:stuck .93 sensor-wiring .02 | ΔP stands high also with the engine off | no pressure does so
dp-zero-offset           | 0.001 | sensor-wiring .97 dp-sensor-failed:zero-off .9 high-pipe-blocked .02 dp-sensor-wrong .02 low-pipe-blocked .02 | ΔP is not zero with the engine off | drift, a poor ground, gas shut in
dp-reversed              | 0.001 | dp-hoses-crossed .93 dp-hose-off .51 high-pipe-blocked .14 -dp-sensor-failed .6 | ΔP falls as the flow rises | crossed hoses, or a high pipe so shut that only the low side is left
dp-slow-response         | 0.001 | high-pipe-blocked .34 low-pipe-blocked .02 -dp-sensor-failed .69 | ΔP is slow to follow the flow | a restricted pipe is a slow one
dp-saturated             | 0.002 | soot-loaded .05 dp-sensor-failed .1 dp-sensor-wrong .1 | ΔP stands at the end of its scale | more than the sensor can show
dp-high-idle             | 0.001 | soot-loaded .99 sensor-wiring:ground .98 dp-sensor-failed:stuck .98 dp-sensor-failed:zero-off .97 ash-full .25 short-trips .14 catalyst-restricted:between-taps .9 sensor-wiring:supply .07 downstream-restricted .03 high-pipe-blocked .02 low-pipe-blocked .02 -dp-hoses-crossed .97 -dp-sensor-failed:dead .96 -dp-sensor-failed:low .95 -dp-sensor-wrong .55 -sensor-wiring:supply .38 -dp-hose-off .19 -high-pipe-blocked .02 -filter-cracked .02 | ΔP is high at idle | a restriction, or an offset; a blind sensor hides it
dp-high-hold             | 0.001 | soot-loaded .99 dp-sensor-failed:stuck .97 sensor-wiring:ground .84 ash-full .37 short-trips .26 catalyst-restricted:between-taps .9 downstream-restricted .19 dp-sensor-failed:zero-off .12 sensor-wiring:supply .05 low-pipe-blocked .02 -dp-hoses-crossed .97 -dp-hose-off .97 -dp-sensor-failed:dead .95 -dp-sensor-failed:low .94 -high-pipe-blocked .61 -filter-cracked .27 -dp-sensor-failed:zero-off .17 -dp-sensor-wrong .02 | ΔP is high in a hold | a restriction at a flow that shows it
dp-low-for-flow          | 0.001 | dp-sensor-failed:low .46 filter-cracked .22 dp-hose-off .02 dp-sensor-wrong .02 high-pipe-blocked .02 dp-hoses-crossed .02 | ΔP is lower than a clean filter can show | nothing holds the gas back, or the sensor does not get it
dp-falling               | 0.02  | counter-not-reset .05 | ΔP falls while the speed is held | a wet filter dries
ebp-low-for-boost        | 0.003 | back-pressure-pipe-blocked .5 back-pressure-sensor-failed .2 | Pressure before the turbine far below the boost at full load | a cracked or clogged tube
ebp-no-response          | 0.001 | back-pressure-sensor-failed:stuck .96 back-pressure-pipe-blocked:broken .07 back-pressure-sensor-failed:off .03 back-pressure-pipe-blocked:blocked .1 sensor-wiring .02 | Pressure before the turbine does not move | dead, or shut off
ebp-slow-decay           | 0.001 | back-pressure-pipe-blocked:blocked .51 back-pressure-pipe-blocked:broken .09 -back-pressure-sensor-failed .68 | Pressure before the turbine is slow to fall | a restricted pipe
ebp-key-on-mismatch      | 0.001 | sensor-wiring .99 back-pressure-sensor-failed:off .97 back-pressure-sensor-failed:stuck .04 back-pressure-pipe-blocked .02 | Pressure before the turbine is off the barometer with the engine off | offset, or gas shut in
map-key-on-mismatch      | 0.001 | sensor-wiring .99 manifold-sensor-failed:off .96 manifold-sensor-failed:slow .06 manifold-sensor-failed:stuck .03 | Manifold pressure is off the barometer with the engine off | offset, or a poor ground
map-no-response          | 0.001 | manifold-sensor-failed:stuck .95 manifold-sensor-failed:slow .05 turbocharger-worn .02 vanes-stuck .02 | Manifold pressure does not move | dead, or no boost at all
map-slow-decay           | 0.001 | manifold-sensor-failed:slow .9 | Manifold pressure is slow to fall | its pipe
maf-low-for-speed        | 0.001 | air-meter-failed:low .96 intake-leak .94 egr-stuck-open .02 -sensor-wiring .25 -manifold-sensor-failed:slow .24 | Air mass is low for speed and manifold pressure | air that is not counted, a meter that reads low, or gas in its place
maf-high-for-speed       | 0.001 | charge-leak .99 air-meter-failed:high .96 air-meter-failed:low .04 -sensor-wiring .96 -intake-leak .58 -manifold-sensor-failed:off .16 | Air mass is high for speed and manifold pressure | counted air is lost behind, or the meter reads high
egt1-open                | 0.001 | egt1-failed .34 sensor-wiring .02 | EGT 1 shows a circuit, no temperature | open or shorted
egt2-open                | 0.001 | egt2-failed .48 sensor-wiring .02 | EGT 2 shows a circuit, no temperature | open or shorted
egt3-open                | 0.001 | egt3-failed .55 sensor-wiring .02 | EGT 3 shows a circuit, no temperature | open or shorted
egt4-open                | 0.001 | egt4-failed .34 sensor-wiring .02 | EGT 4 shows a circuit, no temperature | open or shorted
egt1-stuck               | 0.001 | egt1-failed .13 | EGT 1 stands still while others move | stuck
egt2-stuck               | 0.001 | egt2-failed .32 | EGT 2 stands still while others move | stuck
egt3-stuck               | 0.001 | egt3-failed .21 | EGT 3 stands still while others move | stuck
egt4-stuck               | 0.001 | egt4-failed .31 | EGT 4 stands still while others move | stuck
egt1-cold-mismatch       | 0.006 | egt1-failed .3 sensor-wiring .05 | EGT 1 is off the others with a cold engine | it reads wrong
egt2-cold-mismatch       | 0.006 | egt2-failed .3 sensor-wiring .05 | EGT 2 is off the others with a cold engine | it reads wrong
egt3-cold-mismatch       | 0.006 | egt3-failed .3 sensor-wiring .05 | EGT 3 is off the others with a cold engine | it reads wrong
egt4-cold-mismatch       | 0.006 | egt4-failed .3 sensor-wiring .05 | EGT 4 is off the others with a cold engine | it reads wrong
egt-order                | 0.01  | egt1-failed .2 egt2-failed .2 egt3-failed .2 egt4-failed .2 | EGTs do not fall from the engine outward | one of them reads wrong
coolant-below-regen-temperature | 0.01 | thermostat-stuck-open .8 | Coolant comes to rest too cool | it does not close
regen-event              | 0.1   | soot-loaded .05 | A regeneration was recorded | by chance, and more often when soot calls for it
soot-high                | 0.001 | soot-loaded .99 counter-not-reset .72 dp-sensor-failed:stuck .66 sensor-wiring:ground .47 dp-sensor-failed:zero-off .1 downstream-restricted .07 catalyst-restricted:between-taps .8 vanes-stuck:open .03 high-pipe-blocked .02 low-pipe-blocked .02 -soot-counter-reset .02 | The engine computer counts much soot | it counts by running and by pressure
soot-disagrees-with-pressure | 0.02 | soot-counter-reset .7 ash-full .5 catalyst-restricted:between-taps .5 counter-not-reset .5 dp-sensor-failed .2 high-pipe-blocked .3 dp-hose-off .3 downstream-restricted .2 | Counted soot and pressure do not agree | one of the two does not know
`;
