import type { Quantity, Unit } from '../quantities/index.ts';
import type { ChannelRoleDefinition } from './channelRoleDefinition.ts';
import { any, DIFFERENCE, FILTER, not, re, TARGET } from './channelWords.ts';

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
    re(any('soot|russ\\w*|suies?|hollin|fuliggine|sadz[ay]|particolato')),
    /^(?:particulate mass|partikelmasse)$/,
    ...extra,
  ],
  not: not(
    any(
      'ash|limit|trigger|target|rate|since|threshold|max(?:imum)?|flow|sensor|burn\\w*|temp\\w*',
      'press\\w*|\\w*druck|filter differential|diff\\w*|delta|temperature',
    ),
    `${FILTER} ${DIFFERENCE}`,
    any('asche\\w*|cendres?|ceniza|cener[ei]|popiol\\w*'),
  ),
});

const ASH = re(any('ash|asche\\w*|cendres?|cenizas?|cener[ei]|popiol\\w*'));

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

/** What the engine computer counts, and what tells how the vehicle was used. */
export const VEHICLE_CHANNEL_ROLES = {
  sootMass: soot('Soot value', 'mass', 'g', 2000, []),
  sootPercent: soot('Soot load in per cent', 'percent', 'percent', 400, [
    new RegExp(
      `${FILTER}.*${any('load(?:ing)?|fill(?:ing)?|saturation|clogging|regen level')}|${any('beladung\\w*|charge|encrassement|saturacion|carga|intasamento|riempimento|saturazione', 'zapelnieni\\w*|obciazeni\\w*')}.*${FILTER}`,
    ),
  ]),
  ashMass: {
    label: 'Ash value',
    quantity: 'mass',
    unit: 'g',
    low: 0,
    high: 2000,
    names: [ASH],
    not: not(any('limit|max(?:imum)?')),
  },
  ashPercent: {
    label: 'Ash load in per cent',
    quantity: 'percent',
    unit: 'percent',
    low: 0,
    high: 400,
    names: [ASH],
    not: not(any('limit|max(?:imum)?')),
  },
  distanceSinceRegen: {
    label: 'Distance since regeneration',
    quantity: 'distance',
    unit: 'km',
    low: 0,
    high: 50_000,
    names: [
      re(any('since|seit|depuis|desde|dall?a?|od'), any('\\w*regen\\w*|\\w*rigener\\w*')),
      re(any('\\w*regen\\w*|\\w*rigener\\w*'), any('distance|strecke|mileage|km')),
    ],
    not: not(any('average|mean|between|time')),
  },
  regenActive: {
    label: 'Regeneration running',
    quantity: 'fraction',
    unit: 'percent',
    low: 0,
    high: 1,
    names: [
      re(
        any('\\w*regen\\w*|rigenerazione'),
        any(
          'active|aktiv|activ[ae]|attiv[ao]|aktywn[ay]|running|status|state|en cours|in corso',
          'in progress|w toku|on',
        ),
      ),
      re(any('active|aktive'), any('\\w*regen\\w*')),
      /\bregenerationsstatus\b|^(?:dpf )?regen(?:eration)?$/,
    ],
    not: not(
      any(
        'count\\w*|number|km|distance|time|request\\w*|inhibit\\w*|since|last|anzahl|trigger|temp\\w*',
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
          '(?:vehicle|veh|road) (?:speed|spd)|vss|(?:fahrzeug|fahr)?geschwindigkeit|vitesse(?: du)? vehicule',
          'velocidad(?: del?)? vehiculo|velocita(?: del)? veicolo|predkosc pojazdu',
        ),
      ),
      /^(?:speed|vitesse|velocidad|velocita|predkosc)(?: gps| gnss)?$|^gps speed$/,
    ],
    not: not(TARGET, any('engine|motor|moteur|turbo\\w*|fan|obrotowa|rotation|wheel|cruise')),
  },
  pedal: percentRole(
    'Pedal',
    [
      re(
        any(
          'accelerator(?: pedal)?|pedal(?: position| value)?|app|fahrpedal\\w*|gaspedal\\w*',
          'pedalwert\\w*|pedale(?: d| dell?)? ?accel\\w*|pedal(?: de(?:l)?)? acelerador',
          'pedale acceleratore|pedal(?:u)? (?:gazu|przyspieszenia)',
        ),
      ),
      re(any('throttle(?: pedal)?(?: position)?')),
    ],
    any(
      'brake|brems\\w*|frein|freno|hamul\\w*|clutch|kupplung\\w*|embrayage|frizione|sprzegl\\w*',
      'valve|throttle valve',
    ),
  ),
  fuelLevel: percentRole('Fuel level', [
    re(
      any(
        'fuel level|tank level|fuel tank|kraftstoff(?:stand|vorrat|fullstand)|tankinhalt',
        'tankfullstand|niveau (?:de )?carburant|nivel (?:de )?combustible|livello carburante',
        'poziom paliwa',
      ),
    ),
  ]),
  oilDilution: percentRole('Fuel in the oil', [
    re(
      any(
        'oil dilution|fuel in (?:the )?oil|olverdunnung|dilution (?:de l |d )?huile|dilucion (?:del )?aceite',
        'diluizione (?:dell )?olio|rozcienczeni\\w* oleju|dilution',
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
          'battery(?: voltage)?|(?:control module|system|supply) voltage|batterie\\w*|bordnetzspannung',
          'tension batterie|(?:tension|voltaje) (?:de )?(?:la )?bateria|tensione (?:della )?batteria',
          'napiecie (?:akumulatora|zasilania)|ecu voltage',
        ),
      ),
    ],
    not: not(any('temp\\w*|current|strom|charge|state')),
  },
  egrPosition: percentRole(
    'Recirculation valve',
    [
      re(
        any('egr|agr|vanne egr|valvula egr|valvola egr|zawor\\w* egr|recirculation'),
        any(
          'pos(?:ition)?|opening|valve|actual|stellung|ist|\\w*ventil\\w*|posicion|posizione|polozenie',
          'position|valvula|valvola|vanne|feedback|rate',
        ),
      ),
      re(any('vanne|valvula|valvola|zawor\\w*|position|posicion|posizione|polozenie'), any('egr|agr')),
      /\bagr(?:ventil|stellung)?\b|^egr$/,
    ],
    any('temp\\w*|error|cooler|press\\w*|flow|throttle'),
  ),
  turboVanePosition: percentRole(
    'Turbine vanes',
    [
      re(
        any(
          'vgt|vnt|vane|vanes|leitschaufel\\w*|ladedrucksteller|geometrie variable|geometria variabile?',
          'kierownic\\w*|alabes',
        ),
      ),
      re(
        any('turbo(?:charger)?|turbolader|turbine|boost'),
        any('pos(?:ition)?|actuator|geometry|posicion|posizione|polozenie|stellung'),
      ),
    ],
    any('temp\\w*|press\\w*|speed'),
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
          'fuel (?:rate|flow|consumption)|kraftstoff(?:verbrauch|durchsatz)',
          '(?:debit|consommation)(?: de)? carburant|consumo(?: de)? combustible',
          '(?:consumo|portata) carburante|zuzycie paliwa',
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
    names: [re(any('lambda|(?:air fuel )?equivalence ratio|luftzahl|richesse'))],
    not: not(TARGET, any('sensor temp\\w*|heater|current')),
  },
} as const satisfies Record<string, ChannelRoleDefinition>;
