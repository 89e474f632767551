import type { Quantity, Unit } from '../quantities/index.ts';

export interface ChannelRoleDefinition {
  readonly label: string;
  readonly quantity: Quantity;
  /** Base unit in which core keeps it. */
  readonly unit: Unit;
  /** Range of plausible values in the base unit, for judging a unit that the file does not state. */
  readonly low: number;
  readonly high: number;
  /** Headings as scan tools write them, folded to plain lower case (see `foldName`). The first that matches ranks highest. */
  readonly names: readonly RegExp[];
  /** Headings that look like it and are not. */
  readonly not?: RegExp;
}

/*
 * Words of the field in English, German, French, Spanish, Italian and Polish, without accents. `any` joins them into one
 * group of whole words.
 */
const any = (...words: readonly string[]): string => `\\b(?:${words.join('|')})\\b`;

const BEFORE = any(
  'pre',
  'before',
  'upstream(?: of)?',
  'ahead of',
  'in front of',
  'inlet',
  'in',
  'up',
  'vor',
  'eingang',
  'amont',
  'avant',
  'entree',
  'antes(?: de(?:l)?)?',
  'entrada',
  'prima(?: de\\w*| di)?',
  'a monte',
  'ingresso',
  'przed',
  'wlot\\w*',
);
const AFTER = any(
  'post',
  'after',
  'downstream(?: of)?',
  'behind',
  'outlet',
  'out',
  'down',
  'nach',
  'hinter',
  'ausgang',
  'aval',
  'apres',
  'sortie',
  'despues(?: de(?:l)?)?',
  'salida',
  'dopo(?: il)?',
  'a valle',
  'uscita',
  'za',
  'po',
  'wylot\\w*',
);
const FILTER = any(
  'dpf',
  'fap',
  'rpf',
  '(?:diesel )?particulate filter',
  '(?:diesel )?particle filter',
  'soot filter',
  '(?:diesel)?partikelfilter',
  'russ(?:partikel)?filter',
  'filtre(?: a particules)?',
  'filtro(?: de particulas| antiparticulas| antiparticolato| di particolato)?',
  'filtr(?:a|em|u)?(?: czastek(?: stalych)?)?',
);
const TURBINE = any(
  'turbine',
  'turbo',
  'turbocharger',
  'turbolader',
  'lader',
  'turbina',
  'turbiny',
  'turbina',
  'turbosprezark\\w*',
  'turbocompresseur',
  'turbocompresor',
  'turbocompressore',
);
const CATALYST = any(
  'doc',
  'oxi ?kat',
  'oxidation cat(?:alyst)?',
  'catalyst',
  'cat',
  'kat',
  '(?:oxidations)?katalysator',
  'oxydationskatalysator',
  'catalyseur',
  'catalizador',
  'catalizzatore',
  'katalizator\\w*',
);
const DIFFERENCE = any(
  'differential',
  'difference',
  'diff',
  'delta',
  'delta p',
  'dp',
  'pressure drop',
  'pressure loss',
  'd ?p',
  'differenz\\w*',
  'differentielle?',
  'diferencial',
  'differenziale',
  'roznic\\w*',
  'perte de charge',
  'caida de presion',
  'caduta di pressione',
  'spadek cisnienia',
  'druckverlust',
  'druckabfall',
);
const PRESSURE = any('press(?:ure)?', '\\w*druck', 'pression', 'presion', 'pressione', 'cisnieni\\w*', 'p');
const TEMPERATURE = any('temp(?:eratur[ae]?)?', '\\w*temp(?:eratur)?', 't');
const EXHAUST = any(
  'exhaust(?: gas)?',
  'exh(?: gas)?',
  'abgas\\w*',
  '(?:gaz )?(?:d )?echappement',
  'gaz ech',
  '(?:gas(?:es)? )?(?:de )?escape',
  '(?:gas )?(?:di )?scarico',
  'spalin',
);
/** Exhaust temperature in one phrase. */
const EGT = `(?:${any('egt', 'agt', 'abgastemp\\w*', 't ?exh', 't ?abg')}|${EXHAUST}.*${TEMPERATURE}|${TEMPERATURE}.*${EXHAUST})`;

/** What was asked for rather than measured. */
const TARGET = any(
  'target',
  'desired',
  'set ?point',
  'specified',
  'commanded',
  'requested',
  'demand',
  'limit',
  'max(?:imum)?',
  'min(?:imum)?',
  'deviation',
  'control',
  'regulation',
  'adaptation',
  'learned',
  'soll\\w*',
  '\\w*sollwert',
  'abweichung',
  'regelung',
  'grenzwert',
  'consigne',
  'ecart',
  'demandee?',
  'objetivo',
  'desead[ao]',
  'consigna',
  'desviacion',
  'obiettivo',
  'richiest[ao]',
  'desiderat[ao]',
  'zadan[aey]',
  'wymagan[aey]',
  'oczekiwan[aey]',
  'duty(?: cycle)?',
  'status',
  'voltage',
  'volts?',
  'spannung',
  'tension',
  'raw',
);
const OTHER_FILTER = any(
  'egr',
  'agr',
  'oil',
  'fuel',
  'rail',
  'air filter',
  'luftfilter',
  'kraftstoff\\w*',
  '(?:fil)?tre a air',
  'filtro (?:de )?aire',
  'filtro aria',
  'paliw\\w*',
  'ol',
  'huile',
  'aceite',
  'olio',
  'oleju',
  'scr',
  'urea',
  'adblue',
  'crankcase',
);
const not = (...patterns: readonly string[]): RegExp => new RegExp(patterns.join('|'));
const re = (...parts: readonly string[]): RegExp => new RegExp(parts.join('.*'));
/** Two ideas in either order. */
const both = (a: string, b: string): RegExp => new RegExp(`${a}.*${b}|${b}.*${a}`);

const pressure = (
  label: string,
  low: number,
  high: number,
  names: readonly RegExp[],
  exclude: RegExp,
): ChannelRoleDefinition => ({
  label,
  quantity: 'pressure',
  unit: 'mbar',
  low,
  high,
  names,
  not: exclude,
});

const temperature = (
  label: string,
  names: readonly RegExp[],
  low: number,
  high: number,
  exclude: RegExp,
): ChannelRoleDefinition => ({
  label,
  quantity: 'temperature',
  unit: 'degC',
  low,
  high,
  names,
  not: exclude,
});

const egt = (
  number: 1 | 2 | 3 | 4,
  side: string,
  part: string,
  where: string,
  others: string,
): ChannelRoleDefinition =>
  temperature(
    `EGT ${number} (${where})`,
    [
      new RegExp(
        `${EGT}.*${side} ?(?:the |le |la |el |il |du )?${part}|${side} ?(?:the |le |la |el |il |du )?${part}.*${EGT}|${part} ${side}.*${EGT}|${EGT}.*${part} ${side}`,
      ),
      new RegExp(
        `${EGT}(?: sensor| sonde| sensore| czujnik| capteur)?(?: bank 1| b1)? ?(?:s|sensor |no |nr |t)?${number}\\b`,
      ),
      new RegExp(
        `\\bt ?${number} (?:exh|abg|ech|exhaust)\\b|${any('egt', 'agt')} ?b1 ?s${number}\\b|\\b${number} ${EGT}`,
      ),
      new RegExp(
        `${TEMPERATURE}.*${side} ?(?:the |le |la |el |il |du )?${part}|${side} ?(?:the |le |la |el |il |du )?${part}.*${TEMPERATURE}|${part} ${side}.*${TEMPERATURE}|${TEMPERATURE}.*${part} ${side}`,
      ),
    ],
    -60,
    1400,
    not(TARGET, any('bank 2', 'b2'), others),
  );

const NEVER = '(?!)';
const soot = (
  label: string,
  quantity: Quantity,
  unit: Unit,
  high: number,
  extra: readonly RegExp[],
): ChannelRoleDefinition => ({
  label,
  quantity,
  unit,
  low: 0,
  high,
  names: [
    /\bsoot (?:mass|load(?:ing)?|amount|content|level|quantity|accumulation|value|calculated)\b/,
    re(any('soot', 'russ\\w*', 'suies?', 'hollin', 'fuliggine', 'sadz[ay]', 'particolato')),
    ...extra,
  ],
  not: not(
    any(
      'ash',
      'limit',
      'trigger',
      'target',
      'rate',
      'since',
      'threshold',
      'max(?:imum)?',
      'flow',
      'sensor',
      'burn\\w*',
      'temp\\w*',
      'press\\w*',
      '\\w*druck',
      'filter differential',
      'diff\\w*',
      'delta',
      'temperature',
    ),
    `${FILTER} ${DIFFERENCE}`,
    any('asche\\w*', 'cendres?', 'ceniza', 'cener[ei]', 'popiol\\w*'),
  ),
});

const ASH = re(any('ash', 'asche\\w*', 'cendres?', 'cenizas?', 'cener[ei]', 'popiol\\w*'));
const percentRole = (
  label: string,
  names: readonly RegExp[],
  exclude: string = NEVER,
): ChannelRoleDefinition => ({
  label,
  quantity: 'percent',
  unit: 'percent',
  low: -5,
  high: 110,
  names,
  not: not(TARGET, exclude),
});

/** Every role a channel can have, in the order in which they are shown. */
export const CHANNEL_ROLES = {
  engineSpeed: {
    label: 'Engine speed',
    quantity: 'rotation',
    unit: 'rpm',
    low: 0,
    high: 8000,
    names: [
      /^(?:engine |eng )?(?:speed|rpm|revs|revolutions)(?: rpm| actual| act| istwert)?$/,
      re(
        any(
          'engine (?:speed|rpm|revs)',
          'eng (?:speed|rpm)',
          'motor ?drehzahl',
          'drehzahl',
          'n ?mot',
          'regime moteur',
          'vitesse moteur',
          'revoluciones',
          'regimen',
          'giri motore',
          'numero giri',
          'obroty',
          'predkosc obrotowa',
          'velocidad (?:del? |giro )*motor',
          'regime (?:di rotazione|motore)',
          'crankshaft speed',
          'vitesse (?:de )?rotation',
        ),
      ),
      re(any('rpm', 'regime', 'giri', 'revs', 'tr min', 'obr min')),
    ],
    not: not(
      TARGET,
      any(
        'turbo\\w*',
        'turbine',
        'fan',
        'pump',
        'gear\\w*',
        'input',
        'output',
        'wheel',
        'idle speed',
        'leerlauf\\w*',
        'vehicle',
        'torque',
        'fuel',
      ),
    ),
  },
  dpfDeltaP: pressure(
    'ΔP across the filter',
    -600,
    3000,
    [
      both(FILTER, DIFFERENCE),
      new RegExp(
        `${DIFFERENCE}.*${PRESSURE}|${PRESSURE}.*${DIFFERENCE}|\\bdifferenzdruck\\b|\\bdruckdifferenz\\b`,
      ),
      /^(?:delta p|dp|d p)(?: dpf| fap)?$/,
      new RegExp(`${FILTER} ${PRESSURE}$|^${PRESSURE} (?:\\w+ )?${FILTER}$`),
    ],
    not(TARGET, OTHER_FILTER, TEMPERATURE.replace('|t)', ')')),
  ),
  dpfInletPressure: pressure(
    'Pressure before the filter',
    -200,
    6000,
    [
      new RegExp(
        `${PRESSURE}.*${BEFORE} ?${FILTER}|${BEFORE} ?(?:the )?${FILTER}.*${PRESSURE}|${FILTER} ${BEFORE} ${PRESSURE}`,
      ),
    ],
    not(TARGET, DIFFERENCE, any('temp\\w*')),
  ),
  dpfOutletPressure: pressure(
    'Pressure after the filter',
    -200,
    6000,
    [
      new RegExp(
        `${PRESSURE}.*${AFTER} ?${FILTER}|${AFTER} ?(?:the )?${FILTER}.*${PRESSURE}|${FILTER} ${AFTER} ${PRESSURE}`,
      ),
    ],
    not(TARGET, DIFFERENCE, any('temp\\w*')),
  ),
  exhaustBackPressure: pressure(
    'Back-pressure before the turbine',
    -200,
    6000,
    [
      re(
        any(
          '(?:exhaust )?back ?pressure',
          'ebp',
          'abgasgegendruck',
          'gegendruck',
          'contre ?pression',
          'contrapresion',
          'contropressione',
          'przeciwcisnienie',
        ),
      ),
      new RegExp(
        `${PRESSURE}.*${BEFORE} ?(?:the |la |de )*${TURBINE}|${BEFORE} ?(?:the )?${TURBINE}.*${PRESSURE}|${TURBINE} ${BEFORE} ${PRESSURE}`,
      ),
      new RegExp(`${EXHAUST}(?: manifold)?.*${PRESSURE}|${PRESSURE}.*${EXHAUST}|\\babgasdruck\\b`),
    ],
    not(
      TARGET,
      DIFFERENCE,
      FILTER,
      any(
        'temp\\w*',
        'post',
        'after',
        'nach',
        'downstream',
        'apres',
        'despues',
        'dopo',
        'valve',
        'brake',
        'intake',
        'egr',
        'agr',
      ),
    ),
  ),
  manifoldPressure: pressure(
    'Manifold pressure',
    -950,
    6000,
    [
      /^map\b|\bmap sensor\b|\bmanifold absolute pressure\b/,
      re(
        any(
          '(?:intake |inlet )?manifold(?: air)? press(?:ure)?',
          'boost(?: air)? press(?:ure)?',
          'charge(?: air)? pressure',
          'ladedruck\\w*',
          'saugrohr\\w*druck',
          'pression (?:de |d )*(?:suralimentation|collecteur|admission|turbo)',
          'presion (?:absoluta )?(?:de(?:l)? |la )*(?:admision|sobrealimentacion|colector|turbo|soplado)',
          'pressione (?:assoluta )?(?:di |del |nel )*(?:sovralimentazione|collettore|aspirazione|turbo)',
          'cisnienie (?:absolutne )?(?:w )?(?:doladowania|kolektor\\w*|ladowania)',
          'boost',
          'intake(?: air)? pressure',
          'inlet(?: air)? pressure',
          'ansaugdruck',
          'turbo(?:charger)? pressure',
        ),
      ),
    ],
    not(
      TARGET,
      EXHAUST,
      any('temp\\w*', 'barometric', 'valve', 'position', 'oil', 'fuel', 'air mass', 'delta', 'before', 'pre'),
    ),
  ),
  barometricPressure: pressure(
    'Barometer',
    500,
    1110,
    [
      re(
        any(
          'baro(?:meter|metric)?(?: press(?:ure)?)?',
          '(?:barometric|atmospheric|ambient(?: air)?|altitude) press(?:ure)?',
          'atmospharendruck',
          'atmospharischer druck',
          'umgebungsdruck',
          '(?:aussen)?luftdruck',
          'barometerdruck',
          'pression (?:atmospherique|barometrique|ambiante)',
          'presion (?:atmosferica|barometrica|ambiente?|ambiental)',
          'pressione (?:atmosferica|barometrica|ambiente)',
          'cisnienie (?:atmosferyczne|barometryczne|otoczenia)',
          'atmospheric',
        ),
      ),
    ],
    not(TARGET, any('temp\\w*')),
  ),
  massAirFlow: {
    label: 'Air mass',
    quantity: 'massFlow',
    unit: 'gPerS',
    low: -2,
    high: 1500,
    names: [
      /^maf\b|\bmaf sensor\b/,
      re(
        any(
          'mass air ?flow',
          'air ?mass(?: flow)?',
          'air ?flow(?: mass| rate)?',
          'mass air',
          'intake air (?:mass|flow)',
          'luftmasse\\w*',
          'lmm',
          'hfm',
          'debit (?:massique )?(?:d )?air',
          'masse (?:d )?air',
          '(?:flujo|masa|caudal)(?: (?:de|masa|masico|del))* aire',
          'portata (?:massica )?(?:d )?aria',
          'massa (?:d )?aria',
          'flusso (?:d )?aria',
          'debimetro',
          '(?:masowy )?przeplyw powietrza',
          'masa powietrza',
          'przeplywomierz\\w*',
          'debitmetre',
        ),
      ),
    ],
    not: not(TARGET, any('temp\\w*', 'egr', 'frequency', 'hz', 'secondary')),
  },
  egt1: egt(1, BEFORE, TURBINE, 'before turbine', FILTER),
  egt2: egt(
    2,
    BEFORE,
    CATALYST,
    'before catalyst',
    any('scr', 'turbine', 'turbo', 'turbolader', 'turbina', 'turbiny'),
  ),
  egt3: egt(3, BEFORE, FILTER, 'before filter', NEVER),
  egt4: egt(4, AFTER, FILTER, 'after filter', NEVER),
  coolantTemp: temperature(
    'Coolant',
    [
      re(
        any(
          '(?:engine )?coolant(?: temp(?:erature)?)?',
          'ect',
          'clt',
          'kuhlwasser\\w*',
          'kuhlmittel\\w*',
          'cooling water',
          'water temp\\w*',
          'motortemp\\w*',
          'engine temp\\w*',
        ),
      ),
      re(
        TEMPERATURE,
        any(
          'liquide',
          'eau',
          'refrigerante',
          'refroidissement',
          'agua',
          'anticongelante',
          'raffreddamento',
          'acqua',
          'cieczy',
          'plynu(?: chlodzacego)?',
          'chlodziwa',
          'silnika',
          'motore?',
          'moteur',
        ),
      ),
    ],
    -50,
    140,
    not(
      TARGET,
      any(
        'oil',
        'ol',
        'huile',
        'aceite',
        'olio',
        'oleju',
        'air',
        'luft\\w*',
        'level',
        'egr',
        'agr',
        'radiator',
        'outlet',
        'exhaust',
        'pressure',
      ),
      EXHAUST,
    ),
  ),
  intakeAirTemp: temperature(
    'Intake air',
    [
      re(
        any(
          'iat',
          'intake air(?: temp(?:erature)?)?',
          'inlet air temp\\w*',
          'air intake temp\\w*',
          'ansaug\\w*temp\\w*',
          'luftansaugtemp\\w*',
          'ansaugluft\\w*',
        ),
      ),
      re(
        TEMPERATURE,
        any(
          '(?:d |de )?(?:l )?air (?:d )?(?:admission|admis|aspire|entree)',
          '(?:del? )?aire (?:de )?(?:admision|aspirado|entrada)',
          '(?:dell? )?aria (?:di )?(?:aspirata|aspirazione|ingresso|immessa)',
          'powietrza (?:dolotowego|zasysanego|ssanego|wlotowego|w kolektorze)',
          'powietrza dolot\\w*',
        ),
      ),
      re(
        any(
          'charge air(?: temp\\w*)?',
          'manifold air temp\\w*',
          'ladelufttemp\\w*',
          'ladeluft',
          'cac temp\\w*',
        ),
      ),
    ],
    -50,
    130,
    not(TARGET, any('pressure', '\\w*druck', 'mass', 'flow', 'ambient', 'outside', 'valve', 'cooler out')),
  ),
  ambientTemp: temperature(
    'Outside air',
    [
      re(
        any(
          '(?:outside|ambient|outdoor|external|exterior)(?: air)?(?: temp(?:erature)?)?',
          'aat',
          'oat',
          'aussen\\w*temp\\w*',
          'umgebungs\\w*temp\\w*',
        ),
      ),
      re(
        TEMPERATURE,
        any('exterieure?', 'ambiante?', 'ambiente', 'exterior', 'esterna', 'zewnetrzn\\w*', 'otoczenia'),
      ),
    ],
    -50,
    60,
    not(TARGET, any('pressure', '\\w*druck', 'barometric'), EXHAUST),
  ),
  oilTemp: temperature(
    'Oil temperature',
    [
      re(any('(?:engine )?oil temp\\w*', 'oltemp\\w*', 'motoroltemp\\w*', 'eot')),
      re(TEMPERATURE, any('(?:d )?huile', 'aceite', 'olio', 'oleju', 'motorol', 'oil')),
    ],
    -50,
    180,
    not(TARGET, any('gear\\w*', 'transmission', 'getriebe\\w*', 'boite', 'cambio', 'skrzyni', 'dilution')),
  ),
  sootMass: soot('Soot value', 'mass', 'g', 2000, []),
  sootPercent: soot('Soot load in per cent', 'percent', 'percent', 400, [
    new RegExp(
      `${FILTER}.*${any('load(?:ing)?', 'fill(?:ing)?', 'saturation', 'clogging', 'regen level')}|${any('beladung\\w*', 'charge', 'encrassement', 'saturacion', 'carga', 'intasamento', 'riempimento', 'saturazione', 'zapelnieni\\w*', 'obciazeni\\w*')}.*${FILTER}`,
    ),
  ]),
  ashMass: {
    label: 'Ash value',
    quantity: 'mass',
    unit: 'g',
    low: 0,
    high: 2000,
    names: [ASH],
    not: not(any('limit', 'max(?:imum)?')),
  },
  ashPercent: {
    label: 'Ash load in per cent',
    quantity: 'percent',
    unit: 'percent',
    low: 0,
    high: 400,
    names: [ASH],
    not: not(any('limit', 'max(?:imum)?')),
  },
  distanceSinceRegen: {
    label: 'Distance since regeneration',
    quantity: 'distance',
    unit: 'km',
    low: 0,
    high: 50_000,
    names: [
      re(any('since', 'seit', 'depuis', 'desde', 'dall?a?', 'od'), any('\\w*regen\\w*', '\\w*rigener\\w*')),
      re(any('\\w*regen\\w*', '\\w*rigener\\w*'), any('distance', 'strecke', 'mileage', 'km')),
    ],
    not: not(any('average', 'mean', 'between', 'time')),
  },
  regenActive: {
    label: 'Regeneration running',
    quantity: 'fraction',
    unit: 'percent',
    low: 0,
    high: 1,
    names: [
      re(
        any('\\w*regen\\w*', 'rigenerazione'),
        any(
          'active',
          'aktiv',
          'activ[ae]',
          'attiv[ao]',
          'aktywn[ay]',
          'running',
          'status',
          'state',
          'en cours',
          'in corso',
          'in progress',
          'w toku',
          'on',
        ),
      ),
      re(any('active', 'aktive'), any('\\w*regen\\w*')),
      /\bregenerationsstatus\b|^(?:dpf )?regen(?:eration)?$/,
    ],
    not: not(
      any(
        'count\\w*',
        'number',
        'km',
        'distance',
        'time',
        'request\\w*',
        'inhibit\\w*',
        'since',
        'last',
        'anzahl',
        'trigger',
        'temp\\w*',
        'not',
      ),
    ),
  },
  vehicleSpeed: {
    label: 'Vehicle speed',
    quantity: 'speed',
    unit: 'kmPerH',
    low: 0,
    high: 280,
    names: [
      re(
        any(
          '(?:vehicle|road) speed',
          'vss',
          '(?:fahrzeug|fahr)?geschwindigkeit',
          'vitesse(?: du)? vehicule',
          'velocidad(?: del?)? vehiculo',
          'velocita(?: del)? veicolo',
          'predkosc pojazdu',
        ),
      ),
      /^(?:speed|vitesse|velocidad|velocita|predkosc)(?: gps| gnss)?$|^gps speed$/,
    ],
    not: not(
      TARGET,
      any('engine', 'motor', 'moteur', 'turbo\\w*', 'fan', 'obrotowa', 'rotation', 'wheel', 'cruise'),
    ),
  },
  pedal: percentRole(
    'Pedal',
    [
      re(
        any(
          'accelerator(?: pedal)?',
          'pedal(?: position| value)?',
          'app',
          'fahrpedal\\w*',
          'gaspedal\\w*',
          'pedalwert\\w*',
          'pedale(?: d| dell?)? ?accel\\w*',
          'pedal(?: de(?:l)?)? acelerador',
          'pedale acceleratore',
          'pedal(?:u)? (?:gazu|przyspieszenia)',
        ),
      ),
      re(any('throttle(?: pedal)?(?: position)?')),
    ],
    any(
      'brake',
      'brems\\w*',
      'frein',
      'freno',
      'hamul\\w*',
      'clutch',
      'kupplung\\w*',
      'embrayage',
      'frizione',
      'sprzegl\\w*',
      'valve',
      'throttle valve',
    ),
  ),
  fuelLevel: percentRole('Fuel level', [
    re(
      any(
        'fuel level',
        'tank level',
        'fuel tank',
        'kraftstoff(?:stand|vorrat|fullstand)',
        'tankinhalt',
        'tankfullstand',
        'niveau (?:de )?carburant',
        'nivel (?:de )?combustible',
        'livello carburante',
        'poziom paliwa',
      ),
    ),
  ]),
  oilDilution: percentRole('Fuel in the oil', [
    re(
      any(
        'oil dilution',
        'fuel in oil',
        'olverdunnung',
        'dilution (?:de l |d )?huile',
        'dilucion (?:del )?aceite',
        'diluizione (?:dell )?olio',
        'rozcienczeni\\w* oleju',
        'dilution',
      ),
    ),
  ]),
  batteryVoltage: {
    label: 'Battery',
    quantity: 'voltage',
    unit: 'V',
    low: 0,
    high: 40,
    names: [
      re(
        any(
          'battery(?: voltage)?',
          '(?:control module|system|supply) voltage',
          'batterie\\w*',
          'bordnetzspannung',
          'tension batterie',
          '(?:tension|voltaje) (?:de )?(?:la )?bateria',
          'tensione (?:della )?batteria',
          'napiecie (?:akumulatora|zasilania)',
          'ecu voltage',
        ),
      ),
    ],
    not: not(any('temp\\w*', 'current', 'strom', 'charge', 'state')),
  },
  egrPosition: percentRole(
    'Recirculation valve',
    [
      re(
        any('egr', 'agr', 'vanne egr', 'valvula egr', 'valvola egr', 'zawor\\w* egr', 'recirculation'),
        any(
          'pos(?:ition)?',
          'opening',
          'valve',
          'actual',
          'stellung',
          'ist',
          '\\w*ventil\\w*',
          'posicion',
          'posizione',
          'polozenie',
          'position',
          'valvula',
          'valvola',
          'vanne',
          'feedback',
          'rate',
        ),
      ),
      re(
        any('vanne', 'valvula', 'valvola', 'zawor\\w*', 'position', 'posicion', 'posizione', 'polozenie'),
        any('egr', 'agr'),
      ),
      /\bagr(?:ventil|stellung)?\b/,
    ],
    any('temp\\w*', 'error', 'cooler', 'press\\w*', 'flow', 'throttle'),
  ),
  turboVanePosition: percentRole(
    'Turbine vanes',
    [
      re(
        any(
          'vgt',
          'vnt',
          'vane',
          'vanes',
          'leitschaufel\\w*',
          'ladedrucksteller',
          'geometrie variable',
          'geometria variabile?',
          'kierownic\\w*',
          'alabes',
        ),
      ),
      re(
        any('turbo(?:charger)?', 'turbolader', 'turbine', 'boost'),
        any('pos(?:ition)?', 'actuator', 'geometry', 'posicion', 'posizione', 'polozenie', 'stellung'),
      ),
    ],
    any('temp\\w*', 'press\\w*', 'speed'),
  ),
  fuelRate: {
    label: 'Fuel rate',
    quantity: 'fuelFlow',
    unit: 'lPerH',
    low: 0,
    high: 300,
    names: [
      re(
        any(
          'fuel (?:rate|flow|consumption)',
          'kraftstoff(?:verbrauch|durchsatz)',
          '(?:debit|consommation)(?: de)? carburant',
          'consumo(?: de)? combustible',
          '(?:consumo|portata) carburante',
          'zuzycie paliwa',
        ),
      ),
    ],
    not: not(TARGET),
  },
  lambda: {
    label: 'Lambda',
    quantity: 'fraction',
    unit: 'percent',
    low: 0,
    high: 20,
    names: [re(any('lambda', '(?:air fuel )?equivalence ratio', 'luftzahl', 'richesse'))],
    not: not(TARGET, any('sensor temp\\w*', 'heater', 'current')),
  },
} as const satisfies Record<string, ChannelRoleDefinition>;

export type ChannelRole = keyof typeof CHANNEL_ROLES;
export const ROLE_IDS = Object.keys(CHANNEL_ROLES) as ChannelRole[];
export const isChannelRole = (text: string): text is ChannelRole => Object.hasOwn(CHANNEL_ROLES, text);
