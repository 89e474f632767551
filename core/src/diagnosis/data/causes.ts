/**
 * Root causes with the chance that one of them is behind a job about the filter, before anything is known. Working
 * estimates of ours, on the high side so that nothing is ruled out early; several may be there at once, so they add up to more
 * than one. A line: id | chance | sentence | why so. An indented line is a form in which the cause above comes, with its share: forms
 * show different things, and never two at once.
 */
export const CAUSES = `
soot-loaded                 | 0.32 | The filter is full of soot                             | the complaint that brings most vehicles; seldom the root alone
ash-full                    | 0.12 | The filter is full of ash                              | high distances, one in ten of those that come
filter-cracked              | 0.05 | The filter is cracked or its core is gone              | seldom, and often without any lamp
catalyst-restricted         | 0.06 | The catalyst ahead of the filter is restricted         | seldom; soot on its face after long idling
  between-taps | .15 | It lies between the taps of ΔP | on some families the sensor spans catalyst and filter
  before-taps | .85 | It lies ahead of the taps of ΔP | ΔP does not see it
downstream-restricted       | 0.06 | Something behind the filter is restricted              | seldom; dents, later bricks
dp-sensor-failed            | 0.10 | The ΔP sensor has failed                               | common, and more often blamed than guilty
  dead | .25 | It gives no signal | open circuit
  stuck | .25 | It stands at one value | the membrane, or water frozen in it
  zero-off | .25 | Its zero is off | drift
  low | .2 | It shows less than there is | a worn element
  high | .05 | It shows more than there is | a torn membrane, drift
dp-sensor-wrong             | 0.05 | The ΔP sensor is of another range or kind              | after repairs elsewhere
high-pipe-blocked           | 0.09 | The pipe ahead of the filter to the ΔP sensor is blocked | soot collects at its bend
low-pipe-blocked            | 0.06 | The pipe behind the filter to the ΔP sensor is blocked | cleaner gas: less often than the high one
dp-hose-off                 | 0.07 | A hose of the ΔP sensor is split or off                | heat and age
dp-hoses-crossed            | 0.04 | The hoses of the ΔP sensor are crossed                 | after repairs elsewhere
back-pressure-sensor-failed | 0.07 | The pressure sensor before the turbine has failed      | heat and soot
  stuck | .5 | It stands at one value | soot in its port
  off | .5 | It is off by an amount | drift
back-pressure-pipe-blocked  | 0.08 | The pipe of the pressure sensor before the turbine is blocked or broken | the dirtiest gas of the line stands in it
  blocked | .55 | It is blocked | soot
  broken | .45 | It is cracked or broken | heat and shaking
manifold-sensor-failed      | 0.07 | The manifold pressure sensor or its pipe               | oil and soot of the recirculation
  stuck | .34 | It stands at one value | oil on the element
  off | .33 | It is off by an amount | drift
  slow | .33 | Its pipe or port is clogged | soot and oil
egt1-failed                 | 0.06 | EGT 1 has failed                                       | the hottest place
egt2-failed                 | 0.06 | EGT 2 has failed                                       | like the others
egt3-failed                 | 0.07 | EGT 3 has failed                                       | regenerations age it
egt4-failed                 | 0.06 | EGT 4 has failed                                       | regenerations age it
sensor-wiring               | 0.07 | Supply, ground or wiring of the sensors                | heat, chafing, water
  ground | .5 | Its ground is poor | water in a connector
  supply | .5 | Its supply is weak | a chafed wire, another sensor that pulls it down
intake-leak                 | 0.08 | The intake leaks between air meter and compressor      | ducts split unseen
charge-leak                 | 0.08 | The charge pipes leak behind the compressor            | clips and coolers
air-meter-failed            | 0.08 | The air meter reads wrong                              | dirt and age
  low | .5 | It reads low | dirt on the element
  high | .5 | It reads high | another housing, or age
turbocharger-worn                  | 0.08 | The turbocharger is worn                               | high distances, oil
vanes-stuck                 | 0.08 | The turbine’s vanes are stuck                          | soot, standing
  open | .5 | They stand open | soot
  shut | .5 | They stand nearly shut | soot
egr-stuck-open              | 0.08 | The recirculation valve is stuck open                  | soot
egr-stuck-shut              | 0.05 | The recirculation valve is stuck shut, or its way is blocked | soot
egr-cooler-fouled           | 0.05 | The recirculation cooler is fouled                     | soot, slow
injector-over-fuelling      | 0.09 | An injector gives too much                             | high distances
dosing-injector-blocked     | 0.10 | Fuel does not come into the exhaust as it should       | high distances, carbon
glow-plugs-failed           | 0.10 | Glow plugs or their relay                              | common, and left alone because it starts all the same
oil-counter                 | 0.08 | The oil counter is at zero, or the oil is diluted      | failed regenerations, missed service
  diluted | .5 | There is fuel in the oil | failed regenerations
  counter | .5 | The counter stands at zero | missed service, or not set back
thermostat-stuck-open       | 0.10 | The thermostat is stuck open                           | common with age
oil-in-exhaust              | 0.06 | Oil comes into the exhaust                             | turbocharger seals, engine wear
short-trips                 | 0.22 | It is driven too short and too slowly                  | use, not a fault: common
soot-counter-reset          | 0.07 | The soot counter was set back without a clean          | after visits elsewhere
counter-not-reset           | 0.06 | The soot counter stands too high, not set back after a clean | after a clean elsewhere, or a wrong pressure that was counted
fuel-low                    | 0.06 | The tank is too empty for a regeneration               | seldom by itself
`;
