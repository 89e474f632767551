/** What people see, hear and know. A line: id | leak | links | sentence | why so. */
export const OBSERVATIONS = `
power-limited        | 0.03 | soot-loaded .78 catalyst-restricted:between-taps .5 counter-not-reset .44 dp-sensor-failed .43 sensor-wiring .43 ash-full .28 downstream-restricted .2 turbocharger-worn .19 vanes-stuck .18 manifold-sensor-failed .15 charge-leak .14 short-trips .12 back-pressure-sensor-failed .1 air-meter-failed .1 intake-leak .08 | Power is limited | the computer protects, or there is no air
filter-lamp          | 0.05 | soot-loaded .83 catalyst-restricted:between-taps .6 dp-hoses-crossed .65 dp-sensor-failed .58 counter-not-reset .47 dp-hose-off .45 short-trips .43 sensor-wiring .39 ash-full .39 high-pipe-blocked .23 filter-cracked .2 dosing-injector-blocked .14 injector-over-fuelling .12 downstream-restricted .11 low-pipe-blocked .1 | The filter’s lamp is on | counting, pressure, or a circuit
black-smoke          | 0.02 | charge-leak .45 injector-over-fuelling .4 egr-stuck-open .25 filter-cracked .4 air-meter-failed .2 turbocharger-worn .3 back-pressure-sensor-failed .25 back-pressure-pipe-blocked .25 vanes-stuck .3 | Black smoke | too little air, too much fuel, and a filter that lets it pass
blue-smoke           | 0.01 | oil-in-exhaust .6 turbocharger-worn .2 | Blue smoke | oil
oil-used             | 0.03 | oil-in-exhaust .68 turbocharger-worn .25 | It uses oil | seals and rings
oil-level-high       | 0.03 | oil-counter:diluted .7 dosing-injector-blocked .25 injector-over-fuelling .15 short-trips .12 | The oil level has risen | fuel of failed regenerations
oil-counter-zero     | 0.01 | oil-counter:counter .9 | The oil counter stands at zero | it was not set back
fuel-lamp            | 0.01 | fuel-low .94 | The tank is nearly empty | as it says
short-trips-told     | 0.25 | short-trips .85 | Mostly short or slow trips | as the customer tells
high-distance        | 0.25 | ash-full .6 dosing-injector-blocked .1 oil-in-exhaust .1 | Over 200 000 km with this filter | ash goes with distance
whistle              | 0.03 | charge-leak .5 intake-leak .35 turbocharger-worn .25 | A whistle or hiss under load | air where none should go
lag                  | 0.03 | charge-leak .35 turbocharger-worn .5 vanes-stuck .4 egr-stuck-open .15 downstream-restricted .25 catalyst-restricted .3 back-pressure-sensor-failed .35 back-pressure-pipe-blocked .35 | It is slow to pull away | boost comes late
choked-high-revs     | 0.03 | vanes-stuck .25 catalyst-restricted .55 downstream-restricted .55 ash-full .1 | It chokes at high revs | gas cannot leave
slow-to-warm         | 0.03 | thermostat-stuck-open .7 | It is slow to warm, the heater is weak | coolant goes round at once
rough-idle           | 0.03 | injector-over-fuelling .6 egr-stuck-open .1 | It idles roughly, or knocks | one cylinder gets more than the others
hard-cold-start      | 0.03 | glow-plugs-failed .5 | It starts badly when cold | no preheat
regens-often         | 0.03 | ash-full .5 low-pipe-blocked .2 injector-over-fuelling .3 egr-stuck-open .25 oil-in-exhaust .2 short-trips .2 charge-leak .2 | Regenerates more and more often | less room, or more soot
no-regens            | 0.08 | glow-plugs-failed .4 thermostat-stuck-open .45 short-trips .4 oil-counter .5 fuel-low .5 egt1-failed .35 egt2-failed .35 egt3-failed .4 egt4-failed .35 dp-sensor-failed .4 sensor-wiring .4 air-meter-failed .35 egr-stuck-open .35 intake-leak .35 back-pressure-sensor-failed .3 | Has not regenerated for a long time | something holds it off
burn-failed          | 0.03 | dosing-injector-blocked .6 egt3-failed .2 thermostat-stuck-open .15 ash-full .15 | A commanded regeneration failed | no heat, or stopped
burn-refused         | 0.03 | soot-loaded .4 oil-counter .35 glow-plugs-failed .25 fuel-low .4 dp-sensor-failed .25 egt3-failed .2 | A commanded regeneration was refused | a condition of the computer
back-soon            | 0.04 | intake-leak .25 glow-plugs-failed .3 thermostat-stuck-open .25 charge-leak .25 oil-counter .2 high-pipe-blocked .2 ash-full .25 short-trips .3 oil-in-exhaust .25 | Came back soon after a clean or burn | the cause was left
sensor-changed       | 0.08 | dp-sensor-wrong .8 dp-hoses-crossed .5 high-pipe-blocked .15 low-pipe-blocked .15 | The ΔP sensor was changed before | and something was left or done wrong
counter-set-back     | 0.03 | soot-counter-reset .8 | The soot counter was set back elsewhere | as told, or seen at 0
cleaned-elsewhere    | 0.05 | counter-not-reset .75 dp-hose-off .1 | It was cleaned elsewhere | and the computer was not told
dent-seen            | 0.01 | downstream-restricted .6 | The line is dented or flattened | as seen
clean-tailpipe       | 0.6  | -filter-cracked .85 | The inside of the tailpipe is clean | a whole filter keeps it so
`;
