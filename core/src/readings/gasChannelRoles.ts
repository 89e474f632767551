import type { ChannelRoleDefinition } from './channelRoleDefinition.ts';
import {
  AFTER,
  any,
  BEFORE,
  both,
  CATALYST,
  DIFFERENCE,
  EGT,
  EXHAUST,
  FILTER,
  not,
  OTHER_FILTER,
  PRESSURE,
  re,
  TARGET,
  TEMPERATURE,
  TURBINE,
} from './channelWords.ts';

const NEVER = '(?!)';

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
        `\\bt ?${number} (?:exh|abg|ech|exhaust)\\b|${any('egt|agt')} ?b1 ?s${number}\\b|\\b${number} ${EGT}`,
      ),
      new RegExp(
        `${TEMPERATURE}.*${side} ?(?:the |le |la |el |il |du )?${part}|${side} ?(?:the |le |la |el |il |du )?${part}.*${TEMPERATURE}|${part} ${side}.*${TEMPERATURE}|${TEMPERATURE}.*${part} ${side}`,
      ),
    ],
    -60,
    1400,
    not(TARGET, any('bank 2|b2'), others),
  );

/** Speed, pressures, air and temperatures: what is judged in every log. */
export const GAS_CHANNEL_ROLES = {
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
          'engine (?:speed|rpm|revs)|eng (?:speed|rpm|spd)|motor speed|n motor|n eng|motor ?drehzahl|drehzahl|n ?mot|regime moteur',
          'vitesse moteur|revoluciones|regimen|giri motore|numero giri|obroty|predkosc obrotowa',
          'velocidad (?:del? |giro )*motor|regime (?:di rotazione|motore)|crank(?:shaft)? speed',
          'vitesse (?:de )?rotation',
        ),
      ),
      re(any('rpm|regime|giri|revs|tr min|obr min')),
      /^n$/,
    ],
    not: not(
      TARGET,
      any(
        'turbo\\w*|turbine|fan|pump|gear\\w*|input|output|wheel|idle speed|leerlauf\\w*|vehicle',
        'torque|fuel',
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
      both(DIFFERENCE, any('filter|filtre|filtro|filtra')),
      re(FILTER, any('back ?pressure')),
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
        `${PRESSURE}.*${BEFORE} ?(?:the )?${FILTER}|${BEFORE} ?(?:the )?${FILTER}.*${PRESSURE}|${FILTER} ${BEFORE} ${PRESSURE}`,
      ),
      /^pressure before the filter$/,
    ],
    not(TARGET, DIFFERENCE, any('temp\\w*')),
  ),
  dpfOutletPressure: pressure(
    'Pressure after the filter',
    -200,
    6000,
    [
      new RegExp(
        `${PRESSURE}.*${AFTER} ?(?:the )?${FILTER}|${AFTER} ?(?:the )?${FILTER}.*${PRESSURE}|${FILTER} ${AFTER} ${PRESSURE}`,
      ),
      /^pressure after the filter$/,
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
          '(?:exhaust )?back ?pressure|ebp|p3|abgasgegendruck|gegendruck|contre ?pression|contrapresion',
          'contropressione|przeciwcisnienie',
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
      any('temp\\w*|post|after|nach|downstream|apres|despues|dopo|valve|brake|intake|egr|agr'),
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
          '(?:intake |inlet )?manifold(?: air)? press(?:ure)?|boost(?: air)? press(?:ure)?',
          'charge(?: air)? pressure|ladedruck\\w*|saugrohr\\w*druck',
          'pression (?:de |d )*(?:suralimentation|collecteur|tubulure|admission|turbo)',
          'presion (?:absoluta )?(?:de(?:l)? |la )*(?:admision|sobrealimentacion|colector|turbo|soplado)',
          'pressione (?:assoluta )?(?:di |del |nel )*(?:sovralimentazione|collettore|aspirazione|turbo)',
          'cisnienie (?:absolutne )?(?:w )?(?:doladowania|kolektor\\w*|ladowania)|boost',
          'intake(?: air)? pressure|inlet(?: air)? pressure|ansaugdruck|turbo(?:charger)? pressure',
        ),
      ),
    ],
    not(TARGET, EXHAUST, any('temp\\w*|barometric|valve|position|oil|fuel|air mass|delta|before|pre')),
  ),
  barometricPressure: pressure(
    'Barometer',
    500,
    1110,
    [
      re(
        any(
          'baro(?:meter|metric)?(?: press(?:ure)?)?|p amb|atm(?:os)? press(?:ure)?',
          '(?:barometric|atmospheric|ambient(?: air)?|altitude) press(?:ure)?|atmospharendruck',
          'atmospharischer druck|umgebungsdruck|(?:aussen)?luftdruck|barometerdruck',
          'pression (?:atmospherique|barometrique|ambiante)',
          'presion (?:atmosferica|barometrica|ambiente?|ambiental)',
          'pressione (?:atmosferica|barometrica|ambiente)',
          'cisnienie (?:atmosferyczne|barometryczne|otoczenia)|atmospheric',
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
          'mass air ?flow|air ?mass(?: flow)?|air ?flow(?: mass| rate)?|mass air',
          'intake air (?:mass|flow)|luftmasse\\w*|lmm|hfm|debit (?:massique )?(?:d )?air',
          'masse (?:d )?air|(?:flujo|masa|caudal)(?: (?:de|masa|masico|del))* aire',
          'portata (?:massica )?(?:d )?aria|massa (?:d )?aria|flusso (?:d )?aria|debimetro',
          '(?:masowy )?przeplyw (?:masowy )?powietrza|masa powietrza|przeplywomierz\\w*|debitmetre',
        ),
      ),
    ],
    not: not(TARGET, any('temp\\w*|egr|frequency|hz|secondary')),
  },
  egt1: egt(1, BEFORE, TURBINE, 'before turbine', FILTER),
  egt2: egt(2, BEFORE, CATALYST, 'before catalyst', any('scr|turbine|turbo|turbolader|turbina|turbiny')),
  egt3: egt(3, BEFORE, FILTER, 'before filter', NEVER),
  egt4: egt(4, AFTER, FILTER, 'after filter', NEVER),
  coolantTemp: temperature(
    'Coolant',
    [
      re(
        any(
          '(?:engine )?coolant(?: temp(?:erature)?)?|ect|clt|kuhlwasser\\w*|kuhlmittel\\w*',
          'cooling water|water temp\\w*|motortemp\\w*|engine temp\\w*',
        ),
      ),
      re(
        TEMPERATURE,
        any(
          'liquide|eau|refrigerante|refroidissement|agua|anticongelante|raffreddamento|acqua|cieczy',
          'plynu(?: chlodzacego)?|chlodziwa|silnika|motore?|moteur',
        ),
      ),
    ],
    -50,
    140,
    not(
      TARGET,
      any('oil|ol|huile|aceite|olio|oleju|air|luft\\w*|level|egr|agr|radiator|outlet|exhaust|pressure'),
      EXHAUST,
    ),
  ),
  intakeAirTemp: temperature(
    'Intake air',
    [
      re(
        any(
          'iat|intake temp\\w*|t intake|intake air(?: temp(?:erature)?)?|inlet air temp\\w*|air intake temp\\w*',
          'ansaug\\w*temp\\w*|luftansaugtemp\\w*|ansaugluft\\w*',
        ),
      ),
      re(
        TEMPERATURE,
        any(
          '(?:d |de )?(?:l )?air (?:d )?(?:admission|admis|aspire|entree)',
          '(?:del? )?aire (?:de )?(?:admision|aspirado|entrada)',
          '(?:dell? )?aria (?:di )?(?:aspirata|aspirazione|ingresso|immessa)',
          'powietrza (?:dolotowego|zasysanego|ssanego|wlotowego|w kolektorze)|powietrza dolot\\w*|zasysanego powietrza',
        ),
      ),
      /^(?:temp(?:eratur[ae]?)? (?:air|aire|aria|powietrza|luft)|air temp(?:erature)?|lufttemp\w*)$/,
      re(any('charge air(?: temp\\w*)?|manifold air temp\\w*|ladelufttemp\\w*|ladeluft|cac temp\\w*')),
    ],
    -50,
    130,
    not(TARGET, any('pressure|\\w*druck|mass|flow|ambient|outside|valve|cooler out|humidity')),
  ),
  ambientTemp: temperature(
    'Outside air',
    [
      re(
        any(
          '(?:outside|ambient|outdoor|external|exterior)(?: air)?(?: temp(?:erature)?)?|aat|oat',
          'aussen\\w*temp\\w*|umgebungs\\w*temp\\w*',
        ),
      ),
      re(TEMPERATURE, any('exterieure?|ambiante?|ambiente|exterior|esterna|zewnetrzn\\w*|otoczenia')),
    ],
    -50,
    60,
    not(TARGET, any('pressure|\\w*druck|barometric'), EXHAUST),
  ),
  oilTemp: temperature(
    'Oil temperature',
    [
      re(any('(?:engine )?oil temp\\w*|oltemp\\w*|motoroltemp\\w*|eot')),
      re(TEMPERATURE, any('(?:d )?huile|aceite|olio|oleju|motorol|oil')),
    ],
    -50,
    180,
    not(TARGET, any('gear\\w*|transmission|getriebe\\w*|boite|cambio|skrzyni|dilution')),
  ),
} as const satisfies Record<string, ChannelRoleDefinition>;
