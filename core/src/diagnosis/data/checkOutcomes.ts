/**
 * Checks with their outcomes, in the order of precedence; where none is seen the last word stands. A check:
 * `check | minutes | cost | otherwise`, then a line for each outcome: id | leak | links | sentence | why so.
 * The cost is material and what it can break, in minutes’ worth of work.
 */
export const CHECK_OUTCOMES = `
dp-zero | 2 | 0 | zero-good
  zero-off            | 0.0015 | dp-sensor-failed:stuck .997 sensor-wiring .997 dp-sensor-failed:zero-off .92 high-pipe-blocked .04 low-pipe-blocked .02 dp-sensor-wrong .02 | Zero is off | drift, ground, or gas shut in
dp-electrical | 8 | 1 | volts-good
  supply-bad          | 0.0002 | sensor-wiring:supply .997 | Supply is not 5 V | supply or wiring
  ground-bad          | 0.0002 | sensor-wiring:ground .997 sensor-wiring:supply .04 | Ground is not ground | wiring
  signal-dead         | 0.0015 | dp-sensor-failed:dead .997 dp-sensor-failed:stuck .997 dp-sensor-failed:zero-off .14 dp-sensor-failed:low .04 | Supply and ground good, no signal | the sensor itself
dp-ladder | 15 | 2 | ladder-good
  ladder-dead         | 0.0015 | dp-sensor-failed:dead .997 dp-sensor-failed:stuck .997 dp-sensor-failed:zero-off .05 dp-sensor-failed:low .04 | Does not follow the pump | dead
  ladder-gain         | 0.0015 | dp-sensor-wrong .997 sensor-wiring:supply .997 dp-sensor-failed:low .997 dp-sensor-failed:high .997 dp-sensor-failed:zero-off .09 sensor-wiring:ground .07 | Follows with a wrong slope | another range, or worn
  ladder-offset       | 0.0015 | sensor-wiring:ground .997 dp-sensor-failed:zero-off .56 sensor-wiring:supply .04 | Off by the same everywhere | zero
dp-swap | 10 | 12 | swap-same
  swap-differs        | 0.0015 | dp-sensor-failed:stuck .997 dp-sensor-failed:zero-off .997 dp-sensor-failed:low .997 dp-sensor-failed:high .997 dp-sensor-failed:dead .89 dp-sensor-wrong .79 high-pipe-blocked .32 low-pipe-blocked .22 short-trips .02 | The known-good one reads otherwise | then it is the sensor
hoses | 4 | 0 | hoses-good
  hoses-crossed       | 0.0002 | dp-hoses-crossed .997 | Hoses are crossed | as seen
  hose-off            | 0.0002 | dp-hose-off .997 | A hose is split, off or melted | as seen
  pipe-cracked        | 0.0002 | back-pressure-pipe-blocked:broken .997 | The pipe of the back-pressure sensor is cracked | as seen
pipe-response | 5 | 0 | response-quick
  high-slow           | 0.0002 | high-pipe-blocked .42 -dp-sensor-failed .7 -dp-hose-off .46 | ΔP takes over 2 s to fall after release | the high pipe
  low-slow            | 0.0002 | low-pipe-blocked .34 -dp-sensor-failed .7 | ΔP goes below zero after release and takes over 2 s to come back | the low pipe
  back-pressure-slow  | 0.0002 | back-pressure-pipe-blocked:blocked .37 -back-pressure-sensor-failed .68 | Pressure before the turbine takes over 2 s to fall | its pipe
  manifold-slow       | 0.0002 | manifold-sensor-failed:slow .91 manifold-sensor-failed:stuck .25 | Manifold pressure takes over 2 s to fall after release | its pipe
  back-pressure-still | 0.0015 | back-pressure-sensor-failed:stuck .997 back-pressure-pipe-blocked:blocked .06 back-pressure-sensor-failed:off .03 back-pressure-pipe-blocked:broken .02 | Pressure before the turbine is the same in a hold and at rest | no pressure is
  manifold-still      | 0.0002 | manifold-sensor-failed:stuck .997 manifold-sensor-failed:slow .04 | Manifold pressure is the same in a hold and at rest | no pressure is
pipe-pump | 8 | 1 | pipes-open
  high-holds          | 0.0002 | high-pipe-blocked .997 | The high pipe holds what is pumped in | shut
  low-holds           | 0.0002 | low-pipe-blocked .997 | The low pipe holds what is pumped in | shut
  back-pressure-holds | 0.0002 | back-pressure-pipe-blocked:blocked .997 back-pressure-pipe-blocked:broken .05 | The pipe of the back-pressure sensor holds | shut
absolute-agree | 3 | 0 | absolutes-agree
  all-off             | 0.0002 | sensor-wiring .45 | All are off alike | supply or ground
  back-pressure-off   | 0.0015 | back-pressure-sensor-failed:off .997 back-pressure-pipe-blocked:blocked .24 back-pressure-sensor-failed:stuck .04 | Pressure before the turbine is off | sensor, or gas shut in
  manifold-off        | 0.0015 | manifold-sensor-failed:off .997 sensor-wiring .06 manifold-sensor-failed:slow .05 manifold-sensor-failed:stuck .04 | Manifold pressure is off | sensor
sensor-compare | 12 | 12 | compare-same
  back-pressure-differs | 0.0015 | back-pressure-sensor-failed .997 back-pressure-pipe-blocked:blocked .17 | A known-good back-pressure sensor reads otherwise | then it is the sensor
egt-cold-soak | 4 | 0 | soak-alike
  soak-egt1           | 0.004 | egt1-failed .85 | EGT 1 is off the others | it reads wrong
  soak-egt2           | 0.004 | egt2-failed .85 | EGT 2 is off the others | it reads wrong
  soak-egt3           | 0.004 | egt3-failed .85 | EGT 3 is off the others | it reads wrong
  soak-egt4           | 0.004 | egt4-failed .85 | EGT 4 is off the others | it reads wrong
egt-resistance | 12 | 2 | egt-good
  egt1-bad            | 0.0002 | egt1-failed .997 | EGT 1 is off its curve | the sensor itself
  egt2-bad            | 0.0002 | egt2-failed .997 | EGT 2 is off its curve | the sensor itself
  egt3-bad            | 0.0002 | egt3-failed .997 | EGT 3 is off its curve | the sensor itself
  egt4-bad            | 0.0002 | egt4-failed .997 | EGT 4 is off its curve | the sensor itself
intake-smoke | 12 | 2 | intake-tight
  smoke-before        | 0.0002 | intake-leak .997 | Smoke comes out between meter and compressor | leak
  smoke-behind        | 0.0002 | charge-leak .997 | Smoke comes out behind the compressor | leak
air-mass | 4 | 0 | air-fits
  air-low             | 0.0002 | intake-leak .997 air-meter-failed:low .997 egr-stuck-open .6 | Less air than speed and pressure call for | not counted, or gas in its place
  air-high            | 0.0015 | charge-leak .997 air-meter-failed:high .997 sensor-wiring:supply .77 air-meter-failed:low .04 -intake-leak .95 | More air than speed and pressure call for | lost behind, or reads high
turbo | 12 | 3 | shaft-good
  shaft-worn          | 0.0002 | turbocharger-worn .997 oil-in-exhaust .02 | The shaft wobbles or drags | worn
vane-sweep | 6 | 1 | vanes-move
  vanes-still         | 0.0002 | vanes-stuck .997 | No change of the note in the sweep | stuck
egr | 10 | 2 | egr-good
  egr-open            | 0.0002 | egr-stuck-open .997 | The valve does not shut | stuck
  egr-shut            | 0.0002 | egr-stuck-shut .997 | The valve does not open, or nothing passes it | stuck, or blocked
  egr-hot             | 0.0002 | egr-cooler-fouled .997 | Gas behind the cooler stays hot | fouled
dosing-injector | 35 | 8 | dosing-sprays
  dosing-blocked      | 0.0002 | dosing-injector-blocked .997 | Its passage is shut with carbon | as seen
glow | 10 | 1 | glow-good
  glow-bad            | 0.0002 | glow-plugs-failed .997 | A plug or the relay is dead | measured
oil | 4 | 0 | oil-good
  oil-diluted         | 0.0002 | oil-counter:diluted .997 injector-over-fuelling .02 | Level high, smells of fuel | fuel in it
  counter-zero        | 0.0002 | oil-counter:counter .997 | The counter stands at zero | not set back
thermostat | 12 | 0 | coolant-warm
  coolant-cool        | 0.0002 | thermostat-stuck-open .997 | Comes to rest under 78 °C on a hold | stuck open
sections | 30 | 4 | no-section
  section-catalyst    | 0.0002 | catalyst-restricted .997 | The restriction is across the catalyst | it goes when the line is open before it
  section-behind      | 0.0015 | downstream-restricted .997 injector-over-fuelling .14 vanes-stuck:shut .12 ash-full .06 low-pipe-blocked .05 short-trips .03 soot-counter-reset .02 -egr-stuck-open .86 | The restriction is behind the filter | it goes when the line is open there
  section-filter      | 0.0015 | soot-loaded .997 ash-full .8 injector-over-fuelling .33 short-trips .14 egr-cooler-fouled .07 -filter-cracked .95 | The restriction is across the filter | it goes when the line is open before it, not behind
gauge | 15 | 6 | gauge-low
  gauge-high          | 0.0015 | downstream-restricted .997 soot-loaded .997 catalyst-restricted .997 ash-full .75 injector-over-fuelling .32 short-trips .27 | High before the filter by gauge | whatever the sensor says
filter-look | 45 | 10 | faces-good
  outlet-sooty        | 0.0002 | filter-cracked .997 | The outlet face is sooty | cracked
  inlet-oily          | 0.0002 | oil-in-exhaust .997 | The inlet face is oily | oil
  inlet-ash           | 0.0002 | ash-full .997 | Grey powder stands in the channels | ash
counter | 2 | 0 | counter-fits
  counter-reset       | 0.0002 | soot-counter-reset .997 | The soot counter was set back | it counts less than any engine makes, or keeps the distance of it
  counter-low         | 0.01 | ash-full .5 catalyst-restricted:between-taps .5 soot-counter-reset .6 dp-sensor-failed:high .4 dp-sensor-failed:zero-off .2 low-pipe-blocked .2 | Counts little where the pressure is high | set back, or ash, or a pressure that is not there
  counter-high        | 0.01 | counter-not-reset .85 dp-hose-off .4 dp-hoses-crossed .4 dp-sensor-failed:dead .4 dp-sensor-failed:stuck .4 dp-sensor-failed:low .4 filter-cracked .4 high-pipe-blocked .35 dp-sensor-wrong .3 | Counts much where the pressure is low | not set back, or the pressure does not arrive
fuel-level | 1 | 0 | fuel-enough
  fuel-under          | 0.0002 | fuel-low .997 | Less than an eighth | as seen
supply | 4 | 0 | supply-good
  supply-weak         | 0.0002 | sensor-wiring .997 | The 5 V or its ground is off | measured
use-history | 2 | 0 | use-fits
  use-slow            | 0.0002 | short-trips .997 | Slow on average by its engine hours | short trips, or idling
intake-look | 2 | 0 | duct-whole
  duct-split          | 0.0005 | intake-leak .6 | The duct is split or off between meter and compressor | as seen; a crack in a fold is not
  charge-split        | 0.0005 | charge-leak .5 | A charge hose is split, off, or wet with oil at a clip | as seen
fuses | 3 | 0 | fuses-good
  relay-burnt         | 0.0005 | glow-plugs-failed .35 | A relay is burnt in its box | as seen; plugs fail more often
  fuse-blown          | 0.002  | sensor-wiring:supply .3 glow-plugs-failed .1 dosing-injector-blocked .03 | A fuse is blown or loose | a wire that chafes, or what it feeds
tailpipe | 1 | 0 | tailpipe-clean
  tailpipe-sooty      | 0.08   | filter-cracked .85 | The inside of the tailpipe is black | soot comes past the filter, or did before it was exchanged
  tailpipe-oily       | 0.003  | oil-in-exhaust .3 | The inside of the tailpipe is oily | oil through the whole line
oil-film | 3 | 1 | turbine-dry
  turbine-oily        | 0.004  | oil-in-exhaust .75 turbocharger-worn .35 | The turbine’s outlet is wet with oil | seals, or oil from the engine
running-comparison | 3 | 0 | comparison-fits
  back-pressure-blind | 0.002  | back-pressure-sensor-failed:stuck .95 back-pressure-pipe-blocked:blocked .5 back-pressure-pipe-blocked:broken .35 | Pressure before the turbine stays while the manifold’s rises | it does not see it
single-piece | 8 | 1 | piece-open
  piece-high-shut     | 0.0002 | high-pipe-blocked .95 | No air goes through the high pipe | shut
  piece-low-shut      | 0.0002 | low-pipe-blocked .95 | No air goes through the low pipe | shut
  piece-back-pressure-shut | 0.0002 | back-pressure-pipe-blocked:blocked .95 | No air goes through the pipe of the sensor before the turbine | shut
injectors | 30 | 4 | injectors-good
  injector-leaks      | 0.0002 | injector-over-fuelling .997 | One leaks or trims far off | measured
`;
