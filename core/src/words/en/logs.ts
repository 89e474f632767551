import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

const rowsOf = (rows: number, w: Words): string => (rows === 1 ? '1 row' : `${w.number(rows)} rows`);

/** What is told of a recorded log: why it cannot be read, what was repaired in it, what its columns were taken for. */
export const logs = {
  'named-like-but-unit-or-values': ({ role }: { role: Said }, w: Words) =>
    `named like ${w.say(role)}, but unit or values are of another kind, or another column fits it better`,
  'none-of-its-words-is-known': 'none of its words is known',
  'what-it-says-is-not-judged': 'what it says is not judged here',
  'not-is-of-something-else': ({ role, text, word }: { role: Said; text: string; word: string }, w: Words) =>
    `not ${w.say(role)}: “${text}” (${word}) is of something else`,
  'stated-as-in-which-the-values': ({ stated, better }: { stated: string; better: string }) =>
    `stated as ${stated}, in which the values cannot be; ${better} fits the values`,
  'no-unit-but-one-fits': ({ unit }: { unit: string }) => `no unit stated; ${unit} fits the values`,
  'unit-unknown-but-one-fits': ({ unknown, unit }: { unknown: string; unit: string }) =>
    `unit “${unknown}” is unknown; ${unit} fits the values`,
  'recorded-against-the-barometer': 'recorded against the barometer',
  'its-unit-is-a-gauge-one': 'its unit is a gauge one',
  'its-values-idle-near-zero-so': 'its values idle near zero, so it is recorded against the barometer',
  'the-parameters-number': 'the parameter’s number',
  'by-its-name': 'name',
  'by-its-name-read-as': ({ read }: { read: string }) => `name: ${read}`,
  'and-its-unit': ({ by }: { by: Said }, w: Words) => `${w.say(by)} and unit`,
  'its-values-say-less': 'its values say less for it',
  'its-values-lie-beyond-what-it': 'its values lie beyond what it can be',
  'set-by-hand': 'set by hand',
  'cannot-be-its-unit-or-its': ({ name, wanted }: { name: string; wanted: Said }, w: Words) =>
    `“${name}” cannot be ${w.say(wanted)}: its unit or its values do not fit.`,
  'as-your-workshop-set-it-before': 'as your workshop set it before',
  'units-inferred-from-the-values': ({ columns }: { columns: string }) =>
    `Units inferred from the values: ${columns}.`,
  'your-workshop-left-it-out': 'your workshop left it out',
  'is-named-alike': ({ name, why }: { name: string; why: Said }, w: Words) =>
    `“${name}” is named alike: ${w.say(why)}`,
  'the-other-column-of-that-name': 'the other column of that name does not move',
  'both-look-like-neither-is-used': ({ names, role }: { names: readonly string[]; role: Said }, w: Words) =>
    `${names.map((name) => `“${name}”`).join(' and ')} both look like ${w.say(role)}; neither is used until you choose one.`,
  'name-no-unit-stated-as-the': ({ unit }: { unit: string }) =>
    `name; no unit stated; ${unit} as the others of its kind`,
  'with-the-engine-off-it-shows': 'with the engine off it shows the air',
  'with-the-engine-off-it-shows-2': ({ shown, air }: { shown: number; air: number }, w: Words) =>
    `with the engine off it shows ${w.pressure(shown)}, the air ${w.pressure(air)}`,
  'with-the-engine-off-it-shows-3': 'with the engine off it shows nothing',
  'with-the-engine-off-it-shows-4': ({ shown }: { shown: number }, w: Words) =>
    `with the engine off it shows ${w.massFlow(shown)}`,
  'never-below-mbar-which-is-the': ({ low }: { low: number }, w: Words) =>
    `never below ${w.pressure(low)}, which is the air itself and no difference`,
  'it-moves-with-engine-speed': 'it moves with engine speed',
  'it-does-not-move-with-engine': 'it does not move with engine speed',
  'only-0-and-1-like-a': 'only 0 and 1, like a state',
  'a-state-has-no-values-in': 'a state has no values in between',
  'a-distance-does-not-fall': 'a distance does not fall',
  'hotter-than-what-lies-before': ({ byK, role }: { byK: number; role: Said }, w: Words) =>
    `${w.temperatureChange(byK)} hotter than ${w.say(role)}, which lies before it`,
  'colder-than-what-lies-after': ({ byK, role }: { byK: number; role: Said }, w: Words) =>
    `${w.temperatureChange(byK)} colder than ${w.say(role)}, which lies after it`,
  'hotter-than': ({ role }: { role: Said }, w: Words) => `hotter than ${w.say(role)}`,
  'colder-than': ({ role }: { role: Said }, w: Words) => `colder than ${w.say(role)}`,
  'is-a-record-of-can-frames':
    'is a record of CAN frames in which no control unit answers service 01, so no channel can be read from it',
  'holds-answers-of-service-01-but': 'holds answers of service 01, but of no parameter that carries a value',
  'can-frames-obd-service-01': 'CAN frames, OBD service 01',
  'of-a-message-of-several-frames': ({ count }: { count: number }, w: Words) =>
    count === 1
      ? '1 message of several frames does not fit together and was left out.'
      : `${w.number(count)} messages of several frames do not fit together and were left out.`,
  'hold-no-can-frame-and-were': ({ count }: { count: number }, w: Words) =>
    count === 1
      ? '1 line holds no CAN frame and was passed over.'
      : `${w.number(count)} lines hold no CAN frame and were passed over.`,
  'has-columns-up-to-are-read': ({ columns, most }: { columns: number; most: number }, w: Words) =>
    `has ${w.number(columns)} columns; up to ${w.number(most)} are read`,
  'one-reading-a-row': ({ format }: { format: Said }, w: Words) => `${w.say(format)}, one reading a row`,
  'is-empty': 'is empty',
  'a-pdf': 'a PDF',
  'a-picture': 'a picture',
  'a-zip-archive-or-spreadsheet-export': 'a zip archive or spreadsheet; export it as CSV text first',
  'a-compressed-file-unpack-it-first': 'a compressed file; unpack it first',
  'is-not-a-recorded-log': ({ what }: { what: Said }, w: Words) => `is ${w.say(what)}, not a recorded log`,
  'holds-binary-data-not-text-so':
    'holds binary data, not text, so it is not a recorded log that can be read here',
  'is-a-web-page-not-a': 'is a web page, not a recorded log',
  'is-not-a-table-no-separator':
    'is not a table: no separator (comma, semicolon, tab, bar) gives lines of equal length',
  'holds-a-line-of-more-than':
    'holds a line of more than a million characters, so it is no table of readings',

  delimited: ({ by, comma }: { by: string; comma: boolean }) =>
    `delimited (${by}${comma ? ', decimal comma' : ''})`,
  'delimited-one-reading-a-row': ({ by, comma }: { by: string; comma: boolean }) =>
    `delimited, one reading a row (${by}${comma ? ', decimal comma' : ''})`,
  'is-json-with-lists-or-objects': ({ depth }: { depth: number }, w: Words) =>
    `is JSON with lists or objects more than ${w.number(depth)} deep, so it is no table of readings`,
  'is-json-with-more-than-million': ({ millions }: { millions: number }, w: Words) =>
    `is JSON with more than ${w.number(millions)} million values; export it as CSV`,
  'has-more-than-columns-up-to': ({ columns }: { columns: number }, w: Words) =>
    `has more than ${w.number(columns)} columns; up to ${w.number(columns)} are read`,
  'holds-rows-of-columns-up-to': (
    { rows, columns, most, millions }: { rows: number; columns: number; most: number; millions: number },
    w: Words,
  ) =>
    `holds ${w.number(rows)} rows of ${w.number(columns)} columns; up to ${w.number(most)} rows and ${w.number(millions)} million cells are read`,
  'begins-like-json-but-is-not': ({ fault }: { fault: string }) => `begins like JSON but is not: ${fault}`,
  'is-json-but-holds-no-table':
    'is JSON, but holds no table: neither rows, nor columns of one length, nor channels with times',
  'is-text-but-not-a-table':
    'is text, but not a table (comma, semicolon, tab, bar), nor CAN frames, nor JSON: export it as CSV',
  'the-file-is-utf-8-with': 'The file is UTF-8 with broken characters; what they stood for is lost.',
  'a-page-of-bytes-claims-to': ({ bytes, claimed }: { bytes: number; claimed: number }, w: Words) =>
    `a page of ${w.number(bytes)} bytes claims to unpack to ${w.number(claimed)}`,
  'a-page-unpacks-to-more-than': 'a page unpacks to more than it can hold',
  'it-has-columns-up-to-are': ({ columns, most }: { columns: number; most: number }, w: Words) =>
    `it has ${w.number(columns)} columns; up to ${w.number(most)} are read`,
  'two-of-its-columns-have-the': 'two of its columns have the same name',
  'it-claims-rows-of-columns-in': (
    { rows, columns, bytes }: { rows: number; columns: number; bytes: number },
    w: Words,
  ) =>
    `it claims ${w.number(rows)} rows of ${w.number(columns)} columns in ${w.number(bytes)} bytes, more than it can hold`,
  'a-column-has-no-description': 'a column has no description',
  'a-column-lies-outside-the-file': 'a column lies outside the file',
  'its-parts-hold-another-number-of': 'its parts hold another number of rows than it states',
  'it-is-damaged-or-of-a': 'it is damaged, or of a kind that is not known',
  'is-a-parquet-file-that-cannot': ({ why }: { why: Said }, w: Words) =>
    `is a Parquet file that cannot be read: ${w.say(why)}`,
  'it-states-a-count-that-is': 'it states a count that is none',
  'a-page-states-a-width-of': 'a page states a width of values that is none',
  'a-run-of-a-page-claims': 'a run of a page claims more values than the page has',
  'a-page-states-levels-that-it': 'a page states levels that it does not hold',
  'a-page-claims-more-than-it': 'a page claims more than it can hold',
  'of-hold-neither-a-number-nor': ({ count, name }: { count: number; name: string }, w: Words) =>
    `${w.number(count)} ${count === 1 ? 'cell' : 'cells'} of “${name}” hold neither a number nor a known placeholder and count as not read.`,
  'the-heading-stands-again-inside-the': 'The heading stands again inside the data and was passed over.',
  'another-number-of-cells-than-the': ({ count }: { count: number }, w: Words) =>
    count === 1
      ? '1 row has another number of cells than the heading and was left out.'
      : `${w.number(count)} rows have another number of cells than the heading and were left out.`,
  'another-heading-stands-here-what-follows':
    'Another heading stands here: what follows it is another table and was left out.',
  'readings-share-their-time-with-others': ({ count }: { count: number }, w: Words) =>
    `${w.number(count)} readings share their time with others; they are spread evenly up to the next.`,
  'holds-more-than-million-cells-record': ({ millions }: { millions: number }, w: Words) =>
    `holds more than ${w.number(millions)} million cells; record fewer channels, or cut it into parts`,
  'has-no-usable-times-in-its': ({ column }: { column: string }) =>
    `has no usable times in its column “${column}”`,
  'holds-no-column-of-numbers-beside': 'holds no column of numbers beside its times',
  'no-column-is-named-as-a': ({ column }: { column: string }) =>
    `No column is named as a time; “${column}” rises from row to row and is taken for it.`,
  'readings-have-no-name-of-a': ({ count }: { count: number }, w: Words) =>
    `${w.number(count)} readings have no name of a channel and were left out.`,
  'holds-names-and-times-but-no': 'holds names and times but no value that is a number',
  'holds-a-heading-but-fewer-than': 'holds a heading but fewer than two complete rows of data',
  'has-no-heading-line-that-names':
    'has no heading line that names its columns; without names the columns cannot be identified',
  'has-neither-a-time-column-nor':
    'has neither a time column nor a stated sample rate, so no duration or response is known',
  'left-out-no-time-that-can': ({ rows }: { rows: number }, w: Words) =>
    `${rowsOf(rows, w)} left out: no time that can be read.`,
  'left-out-the-time-leaps-away': ({ rows }: { rows: number }, w: Words) =>
    `${rowsOf(rows, w)} left out: the time leaps away from its neighbours.`,
  'the-clock-jumped-back-at-the': ({ rows }: { rows: number }, w: Words) =>
    `The clock jumped back at ${rowsOf(rows, w)}; the log goes on from where it stood.`,
  'stood-out-of-order-and-were': ({ rows }: { rows: number }, w: Words) =>
    `${rowsOf(rows, w)} stood out of order and were sorted by their time.`,
  'is-a-gauge-pressure-and-the': ({ column, assumed }: { column: string; assumed: number }, w: Words) =>
    `“${column}” is a gauge pressure and the file has no barometer: ${w.pressure(assumed)} is assumed.`,
  'of-are-outside-the-channels-range': (
    {
      count,
      name,
      low,
      high,
      unit,
    }: { count: number; name: string; low: number; high: number; unit: string },
    w: Words,
  ) =>
    `${w.number(count)} ${count === 1 ? 'reading' : 'readings'} of “${name}” are outside the channel’s range (${w.range(low, high, unit, 'to')}) and were left out.`,
} as const;
