import type { ChannelRole } from '../channelRoles.ts';
import type { Meaning } from './facets.ts';

/** A part and the side of it on which something sits. */
export type Place =
  `${'before' | 'after'} ${'turbine' | 'catalyst' | 'filter' | 'intercooler' | 'compressor'}`;

/** One way in which a heading names a role. What it says beyond is of something else. */
export interface RoleMeaning {
  readonly wants: readonly Meaning[];
  readonly allows?: readonly Meaning[];
  /** One of these places is named. */
  readonly at?: readonly Place[];
  /** These places may be named. */
  readonly mayBeAt?: readonly Place[];
  /** So little that a word which is not known may mean something else. */
  readonly weak?: true;
  /** Less surely by this much, 0–1: the words are another role’s, and only unit or values can make them this one. */
  readonly doubt?: number;
}

const GAS = ['medium:exhaust', 'medium:gas', 'medium:particles', 'medium:soot'] as const;
const AGAINST = ['qualifier:absolute', 'qualifier:relative'] as const;
const NUMBERS = ['number:1', 'number:2', 'number:3', 'number:4'] as const;
const SHARE = ['qualifier:share', 'qualifier:calculated'] as const;

const egt = (
  number: Extract<Meaning, `number:${string}`>,
  at: readonly Place[],
  lessSurely: readonly Place[] = [],
): RoleMeaning[] => [
  { wants: ['quantity:temperature'], allows: [...GAS, ...NUMBERS, 'part:manifold'], at },
  ...(lessSurely.length === 0
    ? []
    : [
        {
          wants: ['quantity:temperature'],
          allows: [...GAS, ...NUMBERS, 'part:manifold'],
          at: [...lessSurely, ...at],
        } as const,
      ]),
  { wants: ['quantity:temperature', 'medium:exhaust', number], allows: ['medium:gas', 'number:1'] },
];

const filterPressure = (at: Place): RoleMeaning[] => [
  { wants: ['quantity:pressure'], allows: [...GAS, ...AGAINST], at: [at] },
];

const loaded = (of: 'medium:soot' | 'medium:ash'): RoleMeaning => ({
  wants: [of],
  allows: [
    'quantity:mass',
    'quantity:load',
    'quantity:level',
    'part:filter',
    'medium:particles',
    'medium:soot',
    'qualifier:model',
    ...SHARE,
  ],
});
/** Ash is what is left of burned oil, and called so. */
const ASHES: RoleMeaning = {
  ...loaded('medium:ash'),
  allows: [...(loaded('medium:ash').allows ?? []), 'medium:oil'],
};
const LOADED_FILTER: RoleMeaning = {
  wants: ['quantity:load', 'part:filter'],
  allows: ['medium:particles', 'medium:soot', 'quantity:level', 'qualifier:model', ...SHARE],
};

/** What a heading has to say, may say, and by what it is put off: everything that is neither wanted nor allowed. */
export const ROLE_MEANINGS: Readonly<Record<ChannelRole, readonly RoleMeaning[]>> = {
  engineSpeed: [
    { wants: ['quantity:speed', 'part:engine'], allows: ['quantity:rotation'] },
    { wants: ['quantity:rotation'], allows: ['part:engine', 'quantity:speed', 'quantity:count'] },
    { wants: ['quantity:speed'], weak: true, doubt: 0.1 },
  ],
  dpfDeltaP: [
    {
      wants: ['quantity:difference', 'part:filter'],
      allows: ['quantity:pressure', ...GAS],
      mayBeAt: ['before filter', 'after filter'],
    },
    { wants: ['quantity:difference', 'quantity:pressure'], allows: [...GAS] },
    { wants: ['part:filter', 'quantity:back-pressure'], allows: ['quantity:pressure', ...GAS] },
    { wants: ['part:filter', 'quantity:pressure'], allows: [...GAS], weak: true },
  ],
  dpfInletPressure: [
    ...filterPressure('before filter'),
    { wants: ['part:filter', 'quantity:pressure'], allows: [...GAS, ...AGAINST], weak: true, doubt: 0.15 },
  ],
  dpfOutletPressure: filterPressure('after filter'),
  exhaustBackPressure: [
    {
      wants: ['quantity:back-pressure'],
      allows: [
        'medium:exhaust',
        'medium:gas',
        'quantity:pressure',
        'part:engine',
        'part:manifold',
        ...AGAINST,
      ],
      mayBeAt: ['before turbine'],
    },
    {
      wants: ['quantity:pressure'],
      allows: ['medium:exhaust', 'medium:gas', 'part:manifold', ...AGAINST],
      at: ['before turbine'],
    },
    {
      wants: ['quantity:pressure', 'medium:exhaust'],
      allows: ['medium:gas', 'part:manifold', ...AGAINST],
      weak: true,
    },
  ],
  manifoldPressure: [
    {
      wants: ['quantity:pressure', 'place:intake'],
      allows: ['part:manifold', 'medium:air', 'quantity:boost', 'part:turbine', 'part:engine', ...AGAINST],
    },
    {
      wants: ['quantity:boost', 'quantity:pressure'],
      allows: ['medium:air', 'part:turbine', 'part:manifold', 'place:intake', ...AGAINST],
    },
    { wants: ['quantity:boost'], allows: ['medium:air', 'part:turbine', ...AGAINST] },
    { wants: ['quantity:pressure', 'part:manifold'], allows: ['medium:air', ...AGAINST] },
    {
      wants: ['quantity:pressure'],
      allows: ['medium:air', ...AGAINST],
      at: ['after intercooler', 'after compressor'],
    },
    { wants: ['quantity:pressure', 'part:turbine'], allows: ['medium:air', ...AGAINST], weak: true },
  ],
  barometricPressure: [
    { wants: ['quantity:pressure', 'place:outside'], allows: ['medium:air', 'qualifier:absolute'] },
  ],
  massAirFlow: [
    {
      wants: ['medium:air', 'quantity:flow'],
      allows: ['quantity:mass', 'place:intake', 'part:engine', 'side:inlet'],
    },
    { wants: ['medium:air', 'quantity:mass'], allows: ['place:intake', 'part:engine', 'side:inlet'] },
    { wants: ['place:intake', 'quantity:mass'], allows: ['medium:air', 'quantity:flow'] },
  ],
  egt1: egt('number:1', ['before turbine']),
  egt2: egt('number:2', ['before catalyst'], ['after turbine']),
  egt3: egt('number:3', ['before filter'], ['after catalyst']),
  egt4: egt('number:4', ['after filter']),
  coolantTemp: [
    {
      wants: ['quantity:temperature', 'medium:coolant'],
      allows: ['part:engine', 'medium:water', 'number:1'],
    },
    { wants: ['quantity:temperature', 'medium:water'], allows: ['part:engine'] },
    { wants: ['medium:coolant'], allows: ['part:engine'], weak: true },
    { wants: ['quantity:temperature', 'part:engine'], weak: true },
  ],
  intakeAirTemp: [
    {
      wants: ['quantity:temperature', 'place:intake'],
      allows: ['medium:air', 'part:manifold', 'part:engine', 'quantity:boost', 'side:inlet'],
      mayBeAt: ['after intercooler'],
    },
    { wants: ['quantity:temperature', 'medium:air'], allows: ['side:inlet', 'part:engine', 'part:manifold'] },
    {
      wants: ['quantity:temperature', 'quantity:boost'],
      allows: ['medium:air'],
      mayBeAt: ['after intercooler'],
    },
    { wants: ['place:intake', 'medium:air'], weak: true },
  ],
  ambientTemp: [
    { wants: ['quantity:temperature', 'place:outside'], allows: ['medium:air', 'part:vehicle'] },
    { wants: ['place:outside', 'medium:air'], weak: true },
  ],
  oilTemp: [{ wants: ['quantity:temperature', 'medium:oil'], allows: ['part:engine'] }],
  sootMass: [
    loaded('medium:soot'),
    { wants: ['medium:particles', 'quantity:mass'], allows: ['part:filter', ...SHARE], weak: true },
    LOADED_FILTER,
  ],
  sootPercent: [
    LOADED_FILTER,
    loaded('medium:soot'),
    { wants: ['part:filter', 'quantity:level'], allows: ['medium:particles', ...SHARE] },
  ],
  ashMass: [ASHES],
  ashPercent: [ASHES],
  distanceSinceRegen: [
    {
      wants: ['process:regeneration', 'process:since'],
      allows: ['quantity:distance', 'part:filter', 'medium:particles', 'process:last', 'process:end'],
    },
    {
      wants: ['process:regeneration', 'quantity:distance'],
      allows: ['part:filter', 'medium:particles', 'process:last', 'process:end', 'side:after'],
    },
  ],
  regenActive: [
    {
      wants: ['process:regeneration', 'process:active'],
      allows: ['quantity:state', 'part:filter', 'medium:particles'],
    },
    { wants: ['process:regeneration', 'quantity:state'], allows: ['part:filter', 'medium:particles'] },
    { wants: ['process:regeneration'], allows: ['part:filter', 'medium:particles'], weak: true },
  ],
  vehicleSpeed: [{ wants: ['quantity:speed', 'part:vehicle'] }, { wants: ['quantity:speed'], weak: true }],
  pedal: [
    {
      wants: ['part:pedal'],
      allows: ['quantity:position', 'part:throttle', 'number:1', 'part:vehicle', ...SHARE],
    },
    { wants: ['part:throttle'], allows: ['quantity:position', ...SHARE], weak: true },
  ],
  fuelLevel: [
    { wants: ['quantity:level', 'medium:fuel'], allows: ['part:tank', ...SHARE] },
    // There are other tanks: a word that is not known may name one.
    { wants: ['quantity:level', 'part:tank'], allows: [...SHARE], weak: true },
    { wants: ['part:tank', 'medium:fuel'], weak: true },
  ],
  oilDilution: [
    {
      wants: ['quantity:dilution'],
      allows: ['medium:oil', 'medium:fuel', 'part:engine', 'quantity:load', 'quantity:level', ...SHARE],
    },
    {
      wants: ['medium:fuel', 'medium:oil'],
      allows: ['part:engine', 'quantity:concentration', ...SHARE],
      weak: true,
    },
  ],
  batteryVoltage: [
    { wants: ['part:battery', 'qualifier:voltage'], allows: ['part:vehicle'] },
    { wants: ['part:control-unit', 'qualifier:voltage'] },
    { wants: ['part:battery'], weak: true },
  ],
  egrPosition: [
    {
      wants: ['part:egr', 'quantity:position'],
      allows: ['part:valve', 'medium:exhaust', 'medium:gas', ...SHARE],
    },
    { wants: ['part:egr', 'part:valve'], allows: ['medium:exhaust', 'medium:gas', ...SHARE] },
    { wants: ['part:egr'], allows: [...SHARE], weak: true },
  ],
  turboVanePosition: [
    { wants: ['part:vanes'], allows: ['quantity:position', 'part:turbine', 'part:actuator', ...SHARE] },
    { wants: ['part:turbine', 'quantity:position'], allows: ['part:actuator', ...SHARE] },
    { wants: ['part:turbine', 'part:actuator'], allows: [...SHARE] },
    {
      wants: ['quantity:boost', 'part:actuator'],
      allows: ['quantity:position', 'quantity:pressure', ...SHARE],
    },
  ],
  fuelRate: [{ wants: ['medium:fuel', 'quantity:flow'], allows: ['part:engine'] }],
  lambda: [
    {
      wants: ['quantity:lambda'],
      allows: ['number:1', 'medium:exhaust', 'medium:gas', 'medium:air', 'medium:fuel'],
    },
  ],
};
