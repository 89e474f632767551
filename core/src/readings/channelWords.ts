/*
 * Words of the field in English, German, French, Spanish, Italian and Polish, without accents. `any` joins them into one
 * group of whole words.
 */
export const any = (...words: readonly string[]): string => `\\b(?:${words.join('|')})\\b`;

export const BEFORE = any(
  'pre|before|upstream(?: of)?|ahead of|in front of|inlet|in|up|vor|eingang|amont|avant|entree',
  'antes(?: de(?:l)?)?|entrada|prima(?: de\\w*| di)?|a monte|ingresso|przed|wlot\\w*',
);
export const AFTER = any(
  'post|after|downstream(?: of)?|behind|outlet|out|down|nach|hinter|ausgang|aval|apres|sortie',
  'despues(?: de(?:l)?)?|salida|dopo(?: il)?|a valle|uscita|za|po|wylot\\w*',
);
export const FILTER = any(
  'dpf|fap|rpf|(?:diesel )?particulate filter|(?:diesel )?particle filter|soot filter',
  '(?:diesel)?partikelfilter|russ(?:partikel)?filter|filtre(?: a particules)?',
  'filtro(?: de particulas| antiparticulas| antiparticolato| di particolato)?',
  'filtr(?:a|em|u)?(?: czastek(?: stalych)?)?',
);
export const TURBINE = any(
  'turbine|turbo|turbocharger|turbolader|lader|turbina|turbiny|turbina|turbosprezark\\w*',
  'turbocompresseur|turbocompresor|turbocompressore',
);
export const CATALYST = any(
  'doc|oxi ?kat|oxidation cat(?:alyst)?|catalyst|cat|kat|(?:oxidations)?katalysator',
  'oxydationskatalysator|catalyseur|catalizador|catalizzatore|katalizator\\w*',
);
export const DIFFERENCE = any(
  'differential|difference|diff|delta|delta p|dp|pressure drop|pressure loss|d ?p|differenz\\w*',
  'differentielle?|diferencial|differenziale|roznic\\w*|perte de charge|caida de presion',
  'caduta di pressione|spadek cisnienia|druckverlust|druckabfall',
);
export const PRESSURE = any('press(?:ure)?|\\w*druck|pression|presion|pressione|cisnieni\\w*|p');
export const TEMPERATURE = any('temp(?:eratur[ae]?)?|\\w*temp(?:eratur)?|t');
export const EXHAUST = any(
  'exhaust(?: gas)?|exh(?: gas)?|abgas\\w*|(?:gaz )?(?:d )?echappement|gaz ech',
  '(?:gas(?:es)? )?(?:de )?escape|(?:gas )?(?:di )?scarico|spalin',
);
/** Exhaust temperature in one phrase. */
export const EGT = `(?:${any('egt|agt|abgastemp\\w*|t ?exh|t ?abg')}|${EXHAUST}.*${TEMPERATURE}|${TEMPERATURE}.*${EXHAUST})`;

/** What was asked for rather than measured. */
export const TARGET = any(
  'target|desired|set ?point|specified|commanded|requested|demand|limit|max(?:imum)?',
  'min(?:imum)?|deviation|control|regulation|adaptation|learned|soll\\w*|\\w*sollwert',
  'abweichung|regelung|grenzwert|consigne|ecart|demandee?|objetivo|desead[ao]|consigna',
  'desviacion|obiettivo|richiest[ao]|desiderat[ao]|zadan[aey]|wymagan[aey]|oczekiwan[aey]',
  'duty(?: cycle)?|status|voltage|volts?|spannung|tension|raw',
);
export const OTHER_FILTER = any(
  'egr|agr|oil|fuel|rail|air filter|luftfilter|kraftstoff\\w*|(?:fil)?tre a air',
  'filtro (?:de )?aire|filtro aria|paliw\\w*|ol|huile|aceite|olio|oleju|scr|urea|adblue',
  'crankcase',
);
export const not = (...patterns: readonly string[]): RegExp => new RegExp(patterns.join('|'));
export const re = (...parts: readonly string[]): RegExp => new RegExp(parts.join('.*'));
/** Two ideas in either order. */
export const both = (a: string, b: string): RegExp => new RegExp(`${a}.*${b}|${b}.*${a}`);
