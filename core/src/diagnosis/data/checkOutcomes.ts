/**
 * Checks with their outcomes, in the order of precedence; where none is seen the last word stands. A check:
 * `check | minutes | cost | otherwise`, then a line for each outcome: id | leak | links | sentence | why so.
 * The cost is material and what it can break, in minutes’ worth of work.
 */
export const CHECK_OUTCOMES = `
dp-zero | 2 | 0 | zero-good
  zero-off            | 0.01  | dp-sensor-failed .3 sensor-wiring .6 low-pipe-blocked .1 dp-sensor-wrong .1 | Zero is off | drift, ground, or gas shut in
dp-electrical | 8 | 1 | volts-good
  supply-bad          | 0.004 | sensor-wiring .6 | Supply is not 5 V | supply or wiring
  ground-bad          | 0.004 | sensor-wiring .6 | Ground is not ground | wiring
  signal-dead         | 0.004 | dp-sensor-failed .45 | Supply and ground good, no signal | the sensor itself
dp-ladder | 15 | 2 | ladder-good
  ladder-dead         | 0.003 | dp-sensor-failed .6 | Does not follow the pump | dead
  ladder-gain         | 0.005 | dp-sensor-wrong .9 dp-sensor-failed .2 | Follows with a wrong slope | another range, or worn
  ladder-offset       | 0.01  | dp-sensor-failed .25 sensor-wiring .45 | Off by the same everywhere | zero
dp-swap | 10 | 12 | swap-same
  swap-differs        | 0.01  | dp-sensor-failed .95 dp-sensor-wrong .95 | The known-good one reads otherwise | then it is the sensor
hoses | 4 | 0 | hoses-good
  hoses-crossed       | 0.002 | dp-hoses-crossed .95 | Hoses are crossed | as seen
  hose-off            | 0.005 | dp-hose-off .9 | A hose is split, off or melted | as seen
  pipe-cracked        | 0.002 | back-pressure-pipe-blocked .45 | The pipe of the back-pressure sensor is cracked | as seen
pipe-response | 5 | 0 | response-quick
  high-slow           | 0.01  | high-pipe-blocked .8 -dp-sensor-failed .7 -dp-hose-off .4 | ΔP takes over 2 s to fall after release | the high pipe
  low-slow            | 0.004 | low-pipe-blocked .5 -dp-sensor-failed .7 | ΔP goes below zero after release and takes over 2 s to come back | the low pipe
  back-pressure-slow  | 0.01  | back-pressure-pipe-blocked .75 -back-pressure-sensor-failed .7 | Pressure before the turbine takes over 2 s to fall | its pipe
  manifold-slow       | 0.003 | manifold-sensor-failed .35 | Manifold pressure takes over 2 s to fall after release | its pipe
  back-pressure-still | 0.002 | back-pressure-sensor-failed .45 back-pressure-pipe-blocked .1 | Pressure before the turbine is the same in a hold and at rest | no pressure is
  manifold-still      | 0.002 | manifold-sensor-failed .4 | Manifold pressure is the same in a hold and at rest | no pressure is
pipe-pump | 8 | 1 | pipes-open
  high-holds          | 0.004 | high-pipe-blocked .93 | The high pipe holds what is pumped in | shut
  low-holds           | 0.004 | low-pipe-blocked .93 | The low pipe holds what is pumped in | shut
  back-pressure-holds | 0.004 | back-pressure-pipe-blocked .75 | The pipe of the back-pressure sensor holds | shut
absolute-agree | 3 | 0 | absolutes-agree
  all-off             | 0.002 | sensor-wiring .6 | All are off alike | supply or ground
  back-pressure-off   | 0.006 | back-pressure-sensor-failed .55 back-pressure-pipe-blocked .2 | Pressure before the turbine is off | sensor, or gas shut in
  manifold-off        | 0.006 | manifold-sensor-failed .6 | Manifold pressure is off | sensor
sensor-compare | 12 | 12 | compare-same
  back-pressure-differs | 0.005 | back-pressure-sensor-failed .95 | A known-good back-pressure sensor reads otherwise | then it is the sensor
egt-cold-soak | 4 | 0 | soak-alike
  soak-egt1           | 0.004 | egt1-failed .85 | EGT 1 is off the others | it reads wrong
  soak-egt2           | 0.004 | egt2-failed .85 | EGT 2 is off the others | it reads wrong
  soak-egt3           | 0.004 | egt3-failed .85 | EGT 3 is off the others | it reads wrong
  soak-egt4           | 0.004 | egt4-failed .85 | EGT 4 is off the others | it reads wrong
egt-resistance | 12 | 2 | egt-good
  egt1-bad            | 0.003 | egt1-failed .9 | EGT 1 is off its curve | the sensor itself
  egt2-bad            | 0.003 | egt2-failed .9 | EGT 2 is off its curve | the sensor itself
  egt3-bad            | 0.003 | egt3-failed .9 | EGT 3 is off its curve | the sensor itself
  egt4-bad            | 0.003 | egt4-failed .9 | EGT 4 is off its curve | the sensor itself
intake-smoke | 12 | 2 | intake-tight
  smoke-before        | 0.004 | intake-leak .93 | Smoke comes out between meter and compressor | leak
  smoke-behind        | 0.004 | charge-leak .9 | Smoke comes out behind the compressor | leak
air-mass | 4 | 0 | air-fits
  air-low             | 0.01  | intake-leak .75 air-meter-failed .45 egr-stuck-open .35 | Less air than speed and pressure call for | not counted, or gas in its place
  air-high            | 0.008 | charge-leak .6 air-meter-failed .45 -intake-leak .5 | More air than speed and pressure call for | lost behind, or reads high
turbo | 12 | 3 | shaft-good
  shaft-worn          | 0.005 | boost-leak .85 oil-in-exhaust .35 | The shaft wobbles or drags | worn
vane-sweep | 6 | 1 | vanes-move
  vanes-still         | 0.006 | vanes-stuck .93 | No change of the note in the sweep | stuck
egr | 10 | 2 | egr-good
  egr-open            | 0.006 | egr-stuck-open .93 | The valve does not shut | stuck
  egr-hot             | 0.006 | egr-cooler-fouled .8 | Gas behind the cooler stays hot | fouled
dosing-injector | 35 | 8 | dosing-sprays
  dosing-blocked      | 0.006 | dosing-injector-blocked .95 | Its passage is shut with carbon | as seen
glow | 10 | 1 | glow-good
  glow-bad            | 0.01  | glow-plugs-failed .96 | A plug or the relay is dead | measured
oil | 4 | 0 | oil-good
  oil-diluted         | 0.01  | oil-counter .65 injector-over-fuelling .15 | Level high, smells of fuel | fuel in it
  counter-zero        | 0.01  | oil-counter .6 | The counter stands at zero | not set back
thermostat | 12 | 0 | coolant-warm
  coolant-cool        | 0.01  | thermostat-stuck-open .93 | Comes to rest under 78 °C on a hold | stuck open
sections | 30 | 4 | no-section
  section-catalyst    | 0.004 | catalyst-restricted .9 | The restriction is across the catalyst | it goes when the line is open before it
  section-behind      | 0.004 | downstream-restricted .93 | The restriction is behind the filter | it goes when the line is open there
  section-filter      | 0.02  | soot-loaded .8 ash-full .75 -filter-cracked .5 | The restriction is across the filter | it goes when the line is open before it, not behind
gauge | 15 | 6 | gauge-low
  gauge-high          | 0.01  | soot-loaded .75 ash-full .65 catalyst-restricted .8 downstream-restricted .8 | High before the filter by gauge | whatever the sensor says
filter-look | 45 | 10 | faces-good
  outlet-sooty        | 0.01  | filter-cracked .95 | The outlet face is sooty | cracked
  inlet-oily          | 0.01  | oil-in-exhaust .85 | The inlet face is oily | oil
  inlet-ash           | 0.03  | ash-full .85 | Grey powder stands in the channels | ash
counter | 2 | 0 | counter-fits
  counter-low         | 0.02  | soot-counter-reset .9 ash-full .45 | Counts little where the pressure is high | set back, or ash
  counter-high        | 0.02  | counter-not-reset .9 high-pipe-blocked .2 dp-hose-off .2 filter-cracked .1 | Counts much where the pressure is low | not set back, or the pressure does not arrive
fuel-level | 1 | 0 | fuel-enough
  fuel-under          | 0.02  | fuel-low .96 | Less than an eighth | as seen
supply | 4 | 0 | supply-good
  supply-weak         | 0.005 | sensor-wiring .55 | The 5 V or its ground is off | measured
use-history | 2 | 0 | use-fits
  use-slow            | 0.03  | short-trips .93 | Slow on average by its engine hours | short trips, or idling
injectors | 30 | 4 | injectors-good
  injector-leaks      | 0.01  | injector-over-fuelling .85 | One leaks or trims far off | measured
`;
