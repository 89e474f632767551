import type { Words } from '../../words.ts';

/** Pages of what there is to learn: each stands by itself, in half a screen. */

export const allTopics = '← All topics';
export const print = 'Print';
export const learnWhat = 'Ten short pages. Move something and watch what the figures do.';
export const findATopic = 'Find a topic';
export const noTopic = 'No topic has these words.';
export const tryIt = 'Try it';
export const figures = 'Figures';
export const whatItIs = 'What it is';
export const whereItSits = 'Where it sits';
export const whatFails = 'What fails';
export const testIt = 'Test it in three steps';
export const mayIDrive = 'May it be driven?';
export const ignored = 'If it is ignored';
export const checksOnAJob = 'Checks on a job';
export const next = (topic: string): string => `Next: ${topic}`;
export const noSuchTopic = 'There is no such topic';
export const inTheWay = 'In the way now';
export const nothingInTheWay = 'Nothing is in the way of a regeneration.';
export const working = 'Calculating …';
export const goodTo = (limit: string): string => `limit ${limit}`;
export const example = (engine: string, filter: string): string =>
  `Example: an engine of ${engine} with a filter of ${filter}, warm, in neutral. Limits are the starting values.`;
export const timesClean = (figure: string): string => `${figure} × clean`;
export const inMinutes = (figure: string): string => `${figure} min`;
export const inSeconds = (figure: string): string => `${figure} s`;
export const revs = (figure: string): string => `${figure} rpm`;
export const inVolts = (figure: string): string => `${figure} V`;
export const cleanUnit = '× clean';
export const table = (axis: string, unit: string): string => (unit === '' ? axis : `${axis}, ${unit}`);
export const bestNext = (check: string): string => `Best next check: ${check}`;
export const picture = (of: string): string => `Picture: ${of}`;
export const before = 'before';
export const pictureAsTable = 'The picture as a table';
export const cannotBeWorkedOut = 'This setting cannot be calculated.';

interface TopicText {
  readonly gist: string;
  readonly is: string;
  readonly sits: string;
  readonly fails: readonly string[];
  readonly test: readonly [string, string, string];
  readonly drive: string;
  readonly ignored: string;
  /** What people type to find it. */
  readonly also: string;
}

export const topics: Readonly<Record<string, (words: Words) => TopicText>> = {
  'dp-sensor': (words) => ({
    gist: 'It compares two pressures. It does not measure soot.',
    is: `One membrane, two ports. The ECU reads volts: about ${words.number(0.5)} V at rest, rising with the difference.`,
    sits: 'Away from the heat, at the end of two pipes. The high pipe comes from before the filter, the low pipe from after it.',
    fails: [
      'Dead: no supply, no ground or no signal.',
      'Stuck or off zero: a value that does not follow the revs, or is not zero at rest.',
      'Pipes: crossed, blocked, off or melted. The sensor is then good and still wrong.',
    ],
    test: [
      'Engine off, ignition on: the value must be near zero.',
      'Rev it: the value must rise with the flow and fall back at once.',
      'Pump the high port in steps, or hold a known-good sensor beside it.',
    ],
    drive: 'Gently and not far: with a dead sensor nobody knows the load of the filter.',
    ignored: 'The ECU regenerates too often or not at all, until the filter is too full to burn.',
    also: 'help dp delta p volts ports zero dead stuck crossed hose',
  }),
  'equal-flow': () => ({
    gist: 'The same filter shows more at more flow. Compare only at equal flow.',
    is: 'Gas meets resistance in walls, soot and channels. Twice the flow gives a little over twice the pressure drop.',
    sits: 'Between the two taps of the sensor. What else lies between them counts, too.',
    fails: [
      'A lower hold after the work makes any clean look good.',
      'EGR and MAF sensor faults change the flow itself.',
      'Colder gas is denser: the same revs give less pressure drop.',
    ],
    test: [
      'Hold any steady speed before the work and note revs, air mass and pressure drop.',
      'Repeat it after the work. The exact revs do not matter, steadiness does.',
      'Compare the fall at equal flow with its limit.',
    ],
    drive: 'Flow alone says nothing about driving.',
    ignored: 'A failed clean is handed over as a good one and is back within weeks.',
    also: 'flow hold rpm compare equal percent removed air mass',
  }),
  restriction: (words) => ({
    gist: 'One pressure, two filters: fine on the small one, blocked on the large one.',
    is: `The measured pressure drop over that of the same filter when clean, at the same flow and temperature. ${words.number(1)} is clean.`,
    sits: 'It belongs to the filter, not to the sensor. Its size must be known or assumed.',
    fails: [
      'A bare limit fits one size of filter only.',
      'A cracked filter reads below clean.',
      'A blocked catalyst or silencer is missed when it lies outside the taps.',
    ],
    test: [
      'Enter the size of the filter, or let it be assumed by the engine.',
      'Hold steadily and read the pressure drop.',
      'Judge by times clean, with the plain limits beside it.',
    ],
    drive: 'Limited when far over the limit: the turbo and the bed run hot.',
    ignored: 'Large filters are passed as good while they are blocked; small ones are cleaned for nothing.',
    also: 'ratio x clean mbar small large size blocked',
  }),
  'soot-and-ash': (words) => ({
    gist: 'Soot burns away. Ash stays, and takes room from the soot.',
    is: 'Soot is carbon from the engine. Ash is what oil and additives leave once the soot has burnt.',
    sits: 'Soot lies as a layer on the walls of the inlet channels. Ash packs at their closed ends.',
    fails: [
      'Short trips and engine faults make soot faster than it burns.',
      `More than ${words.loading(5)} of soot burns too hot in many filters.`,
      'Oil in the exhaust makes ash and can catch fire.',
    ],
    test: [
      'Read the restriction before a regeneration, then again after it.',
      'What is left afterwards is ash, or is not the filter.',
      'Look at the inlet face: black is soot, grey powder is ash, wet is oil.',
    ],
    drive: 'Yes while moderate. Over-full: limited, and no forced regeneration.',
    ignored: 'Each regeneration does less, they come closer together, and the oil is diluted.',
    also: 'ash load grams litre burn regeneration clean off vehicle',
  }),
  pipes: () => ({
    gist: 'A blocked pipe shows what was there a while ago.',
    is: 'The pipes carry pressure, not gas. A deposit slows the pressure down, then shuts it out.',
    sits: 'From the taps to the sensor. Deposits sit in the first bend, near the hot end.',
    fails: [
      'High pipe blocked: the value is too low. It hides a full filter.',
      'Low pipe blocked: the value is too high. It makes a good filter look full.',
      'Slow pipe: the value lags and never settles on a hold.',
    ],
    test: [
      'Record at ten readings a second. Hold, then let the throttle go.',
      'An open pipe is back within about half a second. Over two seconds is restricted.',
      'Pull the pipe off the sensor and pump it: an open one cannot hold.',
    ],
    drive: 'Gently: the load of the filter is not known until the pipe is open.',
    ignored: 'Sensors and filters are changed for nothing.',
    also: 'pipe hose tube blocked slow response return time pump',
  }),
  temperatures: () => ({
    gist: 'All equal when cold. Warm, they fall from the engine outward.',
    is: 'Sensors in the gas, numbered from the engine. The ECU steers and limits a regeneration by them.',
    sits: 'Before the turbo, before the catalyst, before the filter and after it. Not every vehicle has all four.',
    fails: [
      'Open circuit: the end of the scale, hot or cold.',
      'Stuck: one value that never moves.',
      'Drifted, or two plugs swapped: the order is wrong on a steady hold.',
    ],
    test: [
      'After a cold night: all of them, coolant and air within a few degrees.',
      'Start and hold: they must rise one after the other, from the engine outward.',
      'Only then measure resistance at the plug of the one that is out of line.',
    ],
    drive: 'Usually yes, but no regeneration happens while a sensor fails.',
    ignored: 'The filter fills up. A guess at the wrong sensor costs a snapped thread.',
    also: 'egt sensor temperature cold soak order thermocouple probe',
  }),
  inhibitors: () => ({
    gist: 'The ECU asks a list of questions. One no is enough.',
    is: 'Conditions that must all hold before fuel is dosed: warm engine, fuel in the tank, fresh oil, no related codes, a load that may burn.',
    sits: 'In the ECU. The list differs by make; the common ones are here.',
    fails: [
      'Thermostat stuck open: the coolant never gets warm enough.',
      'Oil life used up, or fuel in the oil.',
      'A code of EGR, glow plugs, boost or a temperature sensor.',
    ],
    test: [
      'Read coolant, fuel, oil life and codes before any command.',
      'Repair what blocks it. Do not clear it away.',
      'Hold the revs: gas that rises freely shows a willing engine.',
    ],
    drive: 'Yes, unless the filter is over-full meanwhile.',
    ignored: 'A clean filter is full again within weeks.',
    also: 'inhibit blocked refused regeneration will not start coolant fuel oil codes',
  }),
  'drop-to-idle': () => ({
    gist: 'Flow carries the heat away. Take the flow away and the bed overheats.',
    is: 'Burning soot gives off heat. At idle there is little gas to cool the bed and plenty of oxygen to feed it.',
    sits: 'In the filter, mostly in its rear half, where no sensor reads it.',
    fails: [
      'Too much soot, lit, and then a foot off the pedal.',
      'Switching off, because the tool shows something odd.',
      'A light cordierite bed runs hotter than silicon carbide.',
    ],
    test: [
      'Know the load first, by counter and by pressure. The higher one counts.',
      'Over the limit: clean it chemically, then burn what is left.',
      'To stop: end the dosing, keep the revs up until the bed is cool.',
    ],
    drive: 'A drive is the safer regeneration: it keeps the flow up by itself.',
    ignored: 'Cracked or melted filters, and fires below the vehicle.',
    also: 'overheat melted abort stop fire burn safe load cordierite',
  }),
  counter: () => ({
    gist: 'A reset changes a number. It does not change the filter.',
    is: 'The ECU estimates soot from fuel, air and distance. It forgets what a reset tells it to forget.',
    sits: 'In the memory of the ECU, not in the filter.',
    fails: [
      'Reset without cleaning: it counts nothing while the filter is full.',
      'Cleaned without a reset: it counts a full filter that is empty.',
      'Some ECUs begin at a default, not at zero.',
    ],
    test: [
      'Write down counter and distance before anything is reset.',
      'Compare it with the restriction on a hold.',
      'Drive, then look again: it should fall or stay low.',
    ],
    drive: 'By the pressure, never by the counter alone.',
    ignored: 'A forced regeneration on a filter whose load nobody knows.',
    also: 'soot counter reset grams ecu proof',
  }),
  judging: () => ({
    gist: 'One reading fits several causes. The next check tells them apart.',
    is: 'Each cause has a chance before anything is read. Each finding raises the causes that would produce it and lowers the others.',
    sits: 'On the right of every job, under Likely, with the reasons.',
    fails: [
      'A first idea that is kept against the evidence.',
      'A check whose answer is known before it is made.',
      'A missing code, taken as proof. It proves little.',
    ],
    test: [
      'Look at what is likely and why.',
      'Make the check that settles most per minute.',
      'Stop when one explanation holds and the next check would change nothing.',
    ],
    drive: 'The advice on a job follows from the same chances.',
    ignored: 'Parts are changed until the fault goes away.',
    also: 'diagnosis likely causes probability evidence next check',
  }),
};

/** What the setting on the page teaches, by topic and code. */
export const tells: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'dp-sensor': {
    sound: 'What it shows is what is there.',
    'at-rest': 'No flow, no difference: a good sensor shows zero now. Check that first.',
    'zero-off':
      'Every value is too high by the same amount. It shows at rest: subtract the zero, or replace it.',
    dead: 'Far below zero at any speed: the signal is at the bottom. Supply, ground and plug first.',
    stuck: 'Plausible at one speed and wrong at every other. Rev it: a value that does not move is no value.',
    crossed: 'It falls as the revs rise. A sensor that cannot show less than zero would look dead.',
    'high-blocked': 'It reads below zero or nothing while the filter fills up. A pump at the pipe finds it.',
    'low-blocked': 'It reads too high: the pressure of the silencer is added. A good filter looks full.',
    'high-off': 'It reads like a blocked high pipe. A look along the hose finds it in a minute.',
  },
  'equal-flow': {
    'same-speed': 'Both holds have the same flow: the bare fall is the true one.',
    'looks-cured': 'The lower hold alone makes it look cured. At equal flow it is not.',
    'looks-worse': 'It looks worse only because the second hold has more flow.',
    'looks-better-than-it-is': 'The bare figures flatter the work. The fall at equal flow is the true one.',
    'looks-less': 'More flow hides part of the success. The fall at equal flow is the true one.',
  },
  restriction: {
    'both-fine': 'Within the limit on both filters.',
    'only-the-large':
      'Within the limit on the small filter, over it on the large one. The bare figure cannot tell.',
    'both-blocked': 'Over the limit on both. The large one is far worse at the same figure.',
  },
  'soot-and-ash': {
    little: 'Little soot: a regeneration would change next to nothing.',
    'burns-away': 'A regeneration takes the soot away. What is left comes from walls, channels and ash.',
    'too-much-to-burn': 'More soot than may be burnt at once in many filters. Clean it chemically first.',
    'ash-stays': 'So much ash stays after any regeneration. Clean it off the vehicle or exchange it.',
  },
  pipes: {
    quick: 'Back in time: this pipe is open.',
    slow: 'Too slow: a deposit holds the pressure back. Every value that changes quickly is wrong.',
    shut: 'It does not come back in six seconds. On a hold it shows the past.',
    'too-few-readings': 'Too few readings within the return. This log cannot prove the pipe, good or bad.',
  },
  temperatures: {
    'in-order': 'From the engine outward each is cooler than the one before. All of them are plausible.',
    'cold-and-equal': 'Cold, all four agree. One that differs now is the faulty one, whatever the code says.',
    stuck: 'One value never moves. It looks right when cold: hold the revs and wait.',
    'reads-high': 'One is hotter than the one before it, and differs when cold. That is drift.',
    open: 'The end of the scale from the first second: an open circuit. Look at plug and cable first.',
    'two-swapped': 'Equal when cold, wrong order when warm: two plugs are swapped.',
  },
  inhibitors: {
    free: 'Nothing on this list is in the way. The regeneration may begin.',
    one: 'One is enough: no regeneration starts, whatever the load.',
    several: 'Repair all of them. Clearing one still leaves the others.',
  },
  'drop-to-idle': {
    safe: 'Within the limit of this bed even if the engine drops to idle.',
    'safe-only-with-revs': 'Safe only while the flow is kept up. A foot off the pedal would overheat it.',
    'too-hot-by-the-drop': 'Over the limit by the drop alone: the flow that would have cooled it is gone.',
    'too-hot-anyway': 'Too much soot for this bed in any case. Do not burn it: clean it chemically first.',
  },
  counter: {
    'reset-only': 'The counter says empty, the pressure says full. Believe the pressure.',
    'cleaned-and-reset':
      'Both agree, because the filter was cleaned. The pressure proves it, not the counter.',
    'cleaned-only':
      'The filter is clean and the counter still blocks or forces a regeneration. Prove it, then reset.',
    nothing: 'Both agree, as nobody has touched either.',
  },
  judging: {
    'reading-alone': 'One reading leaves several causes. Choose a check and see what it would settle.',
    settled: 'Settled: one cause is nearly certain. Confirm it and repair it.',
    overturned: 'The first idea is overturned. Another cause leads now.',
    sharpened: 'Sharper than before, not settled. The next check goes on from here.',
    'moved-little': 'Little has moved: this check says little about this reading.',
  },
};

/** What is moved, chosen, read and drawn. */
export const labels: Readonly<Record<string, string>> = {
  state: 'Sensor and pipes',
  sound: 'in order',
  'zero-off': 'zero off',
  dead: 'dead',
  stuck: 'stuck',
  crossed: 'hoses crossed',
  'high-blocked': 'high pipe blocked',
  'low-blocked': 'low pipe blocked',
  'high-off': 'high hose off',
  rpm: 'Engine speed',
  soot: 'Soot load',
  ash: 'Ash load',
  'true-drop': 'Pressure drop of the filter',
  'high-port': 'At the high port',
  'low-port': 'At the low port',
  signal: 'Signal',
  shown: 'Shown by the sensor',
  'engine-speed': 'engine speed',
  'pressure-drop': 'pressure drop',
  'before-rpm': 'Hold before the work',
  'after-rpm': 'Hold after the work',
  removed: 'Soot removed',
  before: 'Before',
  after: 'After',
  'bare-fall': 'Fall of the bare figures',
  'equal-fall': 'Fall at equal flow',
  'clean-before': 'Restriction before',
  'clean-after': 'Restriction after',
  flow: 'exhaust flow',
  'drop-now': 'Pressure drop at 3000 rpm',
  'clean-now': 'Restriction now',
  'drop-burnt': 'After a full regeneration',
  'clean-burnt': 'Restriction then',
  wall: 'Wall',
  layers: 'Soot and ash layers',
  channels: 'Channels',
  ends: 'Inlet and outlet',
  drop: 'Pressure drop read',
  'small-clean': 'Small filter, clean',
  'small-times': 'Small filter now',
  'small-soot': 'Small filter, soot by pressure',
  'large-clean': 'Large filter, clean',
  'large-times': 'Large filter now',
  'large-soot': 'Large filter, soot by pressure',
  small: 'Small filter',
  large: 'Large filter',
  open: 'Bore still open',
  rate: 'Readings a second',
  '1': '1',
  '10': '10',
  '50': '50',
  'return-time': 'Return time',
  readings: 'Readings within it',
  'shown-after-two': 'Shown after 2 s',
  'true-after-two': 'True after 2 s',
  'after-release': 'after release',
  reading: 'Reading',
  work: 'What was done',
  'reset-only': 'counter reset only',
  'cleaned-and-reset': 'cleaned and reset',
  'cleaned-only': 'cleaned only',
  nothing: 'nothing',
  since: 'Driven since',
  counts: 'The counter says',
  holds: 'The filter holds',
  coolant: 'Coolant',
  fuel: 'Fuel in the tank',
  'oil-life': 'Oil life',
  code: 'Code stored',
  none: 'none',
  'coolant-now': 'Coolant',
  'fuel-now': 'Fuel',
  'soot-now': 'Soot in the filter',
  'oil-now': 'Oil life',
  'in-the-way': 'In the way',
  foot: 'The foot',
  'drops-to-idle': 'drops to idle',
  'keeps-the-revs': 'keeps the revs up',
  'drop-after': 'Drops after',
  material: 'Filter material',
  'silicon-carbide': 'silicon carbide',
  cordierite: 'cordierite',
  hottest: 'Hottest in the bed',
  'hottest-kept': 'With the revs kept up',
  'hottest-dropped': 'With the drop to idle',
  'soot-left': 'Soot left',
  'minutes-on': 'after the start',
  bed: 'hottest in the bed',
  minutes: 'After the start',
  sensor: 'Sensors',
  'in-order': 'in order',
  'reads-high': 'one reads high',
  'two-swapped': 'two plugs swapped',
  egt1: 'Before turbo (EGT 1)',
  egt2: 'Before catalyst (EGT 2)',
  egt3: 'Before filter (EGT 3)',
  egt4: 'After filter (EGT 4)',
  'cold-spread': 'Spread when cold',
  gas: 'gas',
  check: 'Check',
  found: 'It finds',
  'fault-found': 'its fault',
  'nothing-found': 'nothing',
  first: 'Leading cause',
  second: 'Second cause',
  'moved-most': 'Largest move',
  'check-minutes': 'Minutes of the check',
};

/** What an outline around a bar is, beside the bar itself. */
export const outlines: Readonly<Record<string, string>> = {
  'soot-and-ash': 'Outline: now. Bar: after a full regeneration.',
  judging: 'Outline: by the reading alone. Bar: with the check.',
};

/** Where a word of one topic means another thing than the same word elsewhere. */
export const labelsOf: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  pipes: { shown: 'shown', 'true-drop': 'true' },
  'dp-sensor': { stuck: 'stuck' },
  temperatures: { open: 'one circuit open', stuck: 'one stuck' },
};
