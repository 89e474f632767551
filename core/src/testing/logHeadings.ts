import type { ChannelRole } from '../readings/index.ts';
import type { Dice } from './drills.ts';

type Grammar = Partial<Record<ChannelRole, string>>;

/** How tools of each tongue put a heading together: of what stands in brackets one is taken. */
const GRAMMARS: readonly Grammar[] = [
  {
    engineSpeed: '[Engine|Eng.] [speed|rpm|revs]',
    dpfDeltaP:
      '[DPF|Particulate filter|Diesel particulate filter] [differential pressure|diff. press.|pressure drop|delta P]',
    exhaustBackPressure: '[Exhaust |]back[-| |]pressure[| before turbine]',
    manifoldPressure: '[Intake manifold|Manifold absolute|Boost|Charge air] [pressure|press.]',
    barometricPressure: '[Barometric|Atmospheric|Ambient] [pressure|press.]',
    massAirFlow: '[Mass air flow|Air mass|Air mass flow|Intake air mass]',
    egt1: '[EGT|Exhaust temp.|Exhaust gas temperature] [before|upstream of|pre] [turbine|turbo|turbocharger]',
    egt2: '[EGT|Exhaust temp.|Exhaust gas temperature] [before|upstream of|pre] [DOC|catalyst|oxidation catalyst]',
    egt3: '[EGT|Exhaust temp.|Temperature] [before|upstream of|pre] [DPF|particulate filter]',
    egt4: '[EGT|Exhaust temp.|Temperature] [after|downstream of|post] [DPF|particulate filter]',
    coolantTemp: '[Engine |]coolant [temperature|temp.]',
    intakeAirTemp: '[Intake|Inlet|Charge] air [temperature|temp.]',
    ambientTemp: '[Ambient|Outside][ air|] [temperature|temp.]',
    sootMass: '[DPF |]soot [mass|load|amount]',
    vehicleSpeed: '[Vehicle|Road] speed',
  },
  {
    engineSpeed: '[Motordrehzahl|Drehzahl Motor|Motordrehz.]',
    dpfDeltaP: '[Differenzdruck|Druckdifferenz|Diff.druck|Druckabfall] [DPF|Partikelfilter|Rußfilter]',
    exhaustBackPressure: '[Abgasgegendruck|Gegendruck vor Turbine|Abgasdruck vor Turbolader]',
    manifoldPressure: '[Saugrohrdruck absolut|Ladedruck Ist|Saugrohrdr.|Ladedruck]',
    barometricPressure: '[Umgebungsdruck|Luftdruck|Atmosphärendruck]',
    massAirFlow: '[Luftmassenstrom|Luftmasse|Ansaugluftmasse|Luftm.]',
    egt1: '[Abgastemperatur|Abgastemp.|Abgast.] vor [Turbolader|Turbine]',
    egt2: '[Abgastemperatur|Abgastemp.|Temperatur] vor [Katalysator|Kat|Oxikat]',
    egt3: '[Abgastemperatur|Abgastemp.|Temp.] vor [DPF|Partikelfilter]',
    egt4: '[Abgastemperatur|Abgastemp.|Temp.] [nach|hinter] [DPF|Partikelfilter]',
    coolantTemp: '[Kühlmitteltemperatur|Kühlwassertemperatur|Kuehlmitteltemp.]',
    intakeAirTemp: '[Ansauglufttemperatur|Ladelufttemperatur|Ansauglufttemp.]',
    ambientTemp: '[Außentemperatur|Umgebungstemperatur]',
    sootMass: '[Rußmasse|Russmasse berechnet|Rußbeladung]',
    vehicleSpeed: '[Fahrzeuggeschwindigkeit|Geschwindigkeit]',
  },
  {
    engineSpeed: '[Régime|Vitesse] moteur',
    dpfDeltaP:
      '[Pression différentielle|Press. différ.|Perte de charge|Delta pression] [FAP|filtre à particules]',
    exhaustBackPressure: '[Contre-pression échappement|Pression échappement avant turbine]',
    manifoldPressure: 'Pression [collecteur admission|de suralimentation|d’admission]',
    barometricPressure: 'Pression [atmosphérique|ambiante|barométrique]',
    massAirFlow: '[Débit d’air|Masse d’air|Débit massique d’air]',
    egt1: '[Température|Temp.] [échappement|gaz échap.|] [avant|amont] [turbine|turbo]',
    egt2: '[Température|Temp.] [échappement|gaz échap.|] [avant|amont] [catalyseur|cata]',
    egt3: '[Température|Temp.] [échappement|gaz échap.|] [avant|amont] [FAP|filtre à particules]',
    egt4: '[Température|Temp.] [échappement|gaz échap.|] [après|aval] [FAP|filtre à particules]',
    coolantTemp: '[Température|Temp.] [liquide de refroidissement|eau|d’eau moteur]',
    intakeAirTemp: '[Température|Temp.] air [admission|d’admission|de suralimentation]',
    ambientTemp: '[Température|Temp.] [extérieure|ambiante]',
    sootMass: '[Masse|Quantité] de suie[s|]',
    vehicleSpeed: 'Vitesse [du |]véhicule',
  },
  {
    engineSpeed: '[Régimen|Revoluciones|Velocidad] del motor',
    dpfDeltaP:
      '[Presión diferencial|Pres. dif.|Caída de presión|Diferencia de presión] [DPF|FAP|filtro de partículas]',
    exhaustBackPressure: '[Contrapresión de escape|Presión de escape antes de turbina]',
    manifoldPressure: 'Presión [absoluta colector|de sobrealimentación|de admisión|colector de admisión]',
    barometricPressure: 'Presión [atmosférica|ambiente|barométrica]',
    massAirFlow: '[Masa|Caudal|Flujo] de aire',
    egt1: '[Temperatura|Temp.] [de escape|gases de escape|] antes de[ la|l|] turbina',
    egt2: '[Temperatura|Temp.] [de escape|gases de escape|] antes del catalizador',
    egt3: '[Temperatura|Temp.] [de escape|gases de escape|] antes del [DPF|filtro de partículas]',
    egt4: '[Temperatura|Temp.] [de escape|gases de escape|] después del [DPF|filtro de partículas]',
    coolantTemp: '[Temperatura|Temp.] [refrigerante|del refrigerante|líquido refrigerante|refrig.]',
    intakeAirTemp: '[Temperatura|Temp.] aire [de admisión|aspirado]',
    ambientTemp: '[Temperatura|Temp.] [exterior|ambiente]',
    sootMass: '[Masa|Cantidad] de hollín',
    vehicleSpeed: 'Velocidad [del |]vehículo',
  },
  {
    engineSpeed: '[Giri|Regime|Velocità] motore',
    dpfDeltaP:
      '[Pressione differenziale|Press. differ.|Caduta di pressione|Delta P] [DPF|FAP|filtro antiparticolato]',
    exhaustBackPressure: '[Contropressione scarico|Pressione scarico prima della turbina]',
    manifoldPressure: 'Pressione [assoluta collettore|di sovralimentazione|collettore di aspirazione]',
    barometricPressure: 'Pressione [atmosferica|ambiente|barometrica]',
    massAirFlow: '[Portata|Massa|Flusso] aria',
    egt1: '[Temperatura|Temp.] [gas di scarico|scarico|] [prima della|a monte della|pre] turbina',
    egt2: '[Temperatura|Temp.] [gas di scarico|scarico|] [prima del|a monte del|pre] catalizzatore',
    egt3: '[Temperatura|Temp.] [gas di scarico|scarico|] [prima del|a monte|pre] [DPF|filtro antiparticolato]',
    egt4: '[Temperatura|Temp.] [gas di scarico|scarico|] [dopo il|a valle|post] [DPF|filtro antiparticolato]',
    coolantTemp: '[Temperatura|Temp.] [liquido raffreddamento|acqua|acqua motore]',
    intakeAirTemp: '[Temperatura|Temp.] aria [aspirata|aspirazione]',
    ambientTemp: '[Temperatura|Temp.] [esterna|ambiente]',
    sootMass: '[Massa|Quantità] di fuliggine',
    vehicleSpeed: 'Velocità [del |]veicolo',
  },
  {
    engineSpeed: '[Obroty|Prędkość obrotowa] silnika',
    dpfDeltaP: '[Ciśnienie różnicowe|Różnica ciśnień|Ciśn. różnicowe] [DPF|filtra cząstek stałych]',
    exhaustBackPressure: '[Ciśnienie spalin przed turbiną|Przeciwciśnienie spalin]',
    manifoldPressure: 'Ciśnienie [w kolektorze ssącym|doładowania|w kolektorze dolotowym]',
    barometricPressure: 'Ciśnienie [atmosferyczne|otoczenia|barometryczne]',
    massAirFlow: '[Masa|Przepływ] powietrza',
    egt1: '[Temperatura|Temp.] [spalin |]przed [turbiną|turbosprężarką]',
    egt2: '[Temperatura|Temp.] [spalin |]przed katalizatorem',
    egt3: '[Temperatura|Temp.] [spalin |]przed [DPF|filtrem cząstek stałych]',
    egt4: '[Temperatura|Temp.] [spalin |][za|po] DPF',
    coolantTemp: '[Temperatura|Temp.] [cieczy chłodzącej|płynu chłodzącego]',
    intakeAirTemp: '[Temperatura|Temp.] powietrza [dolotowego|zasysanego]',
    ambientTemp: '[Temperatura|Temp.] [otoczenia|zewnętrzna]',
    sootMass: '[Masa|Ilość] sadzy',
    vehicleSpeed: 'Prędkość pojazdu',
  },
  {
    engineSpeed: '[Motortoerental|Toerental motor]',
    dpfDeltaP: '[Verschildruk|Drukverschil|Differentiële druk|Drukval] [DPF|roetfilter]',
    exhaustBackPressure: '[Uitlaattegendruk|Tegendruk uitlaat|Uitlaatdruk voor turbine]',
    manifoldPressure: '[Inlaatspruitstukdruk|Laaddruk|Inlaatdruk]',
    barometricPressure: '[Luchtdruk|Omgevingsdruk|Atmosferische druk]',
    massAirFlow: '[Luchtmassa|Luchtmassastroom|Inlaatluchtmassa]',
    egt1: '[Uitlaatgastemperatuur|Uitlaatgastemp.|Temp.] voor [turbine|turbo]',
    egt2: '[Uitlaatgastemperatuur|Uitlaatgastemp.|Temp.] voor katalysator',
    egt3: '[Uitlaatgastemperatuur|Uitlaatgastemp.|Temp.] voor [DPF|roetfilter]',
    egt4: '[Uitlaatgastemperatuur|Uitlaatgastemp.|Temp.] [na|achter] [DPF|roetfilter]',
    coolantTemp: '[Koelvloeistoftemperatuur|Koelwatertemperatuur|Koelvloeistoftemp.]',
    intakeAirTemp: '[Inlaatluchttemperatuur|Aanzuigluchttemperatuur]',
    ambientTemp: '[Buitentemperatuur|Omgevingstemperatuur]',
    sootMass: '[Roetmassa|Hoeveelheid roet]',
    vehicleSpeed: '[Voertuigsnelheid|Rijsnelheid]',
  },
  {
    engineSpeed: '[Rotação|Regime] do motor',
    dpfDeltaP:
      '[Pressão diferencial|Diferença de pressão|Queda de pressão] [DPF|do DPF|do filtro de partículas]',
    exhaustBackPressure: '[Contrapressão de escape|Pressão antes da turbina]',
    manifoldPressure: 'Pressão [de admissão|do coletor de admissão|de sobrealimentação]',
    barometricPressure: 'Pressão [atmosférica|ambiente|barométrica]',
    massAirFlow: '[Massa|Fluxo|Caudal] de ar',
    egt1: '[Temperatura|Temp.] [de escape|dos gases de escape|] antes da turbina',
    egt2: '[Temperatura|Temp.] [de escape|dos gases de escape|] antes do catalisador',
    egt3: '[Temperatura|Temp.] [de escape|dos gases de escape|] antes do [DPF|filtro de partículas]',
    egt4: '[Temperatura|Temp.] [de escape|dos gases de escape|] [depois do|após o] [DPF|filtro de partículas]',
    coolantTemp: '[Temperatura|Temp.] [do líquido de arrefecimento|da água|do refrigerante]',
    intakeAirTemp: '[Temperatura|Temp.] do ar [de admissão|aspirado]',
    ambientTemp: '[Temperatura|Temp.] [exterior|ambiente]',
    sootMass: '[Massa|Quantidade] de fuligem',
    vehicleSpeed: 'Velocidade do veículo',
  },
  {
    engineSpeed: '[RPM|N_Eng]',
    dpfDeltaP: '[DPF_dP|dP_DPF|DPF_DiffPress]',
    exhaustBackPressure: '[EBP|P3]',
    manifoldPressure: '[MAP|Boost_act]',
    barometricPressure: '[BARO|P_Amb]',
    massAirFlow: '[MAF|AirMass]',
    egt1: '[EGT1|EGT_PreTurbo]',
    egt2: '[EGT2|EGT_PreDOC]',
    egt3: '[EGT3|EGT_PreDPF]',
    egt4: '[EGT4|EGT_PostDPF]',
    coolantTemp: '[ECT|CLT|CoolantTemp]',
    intakeAirTemp: '[IAT|IntakeAirTemp]',
    ambientTemp: '[AAT|OutsideTemp]',
    sootMass: '[DPF_soot_mass|SootMass]',
    vehicleSpeed: '[VSS|VehSpeed]',
  },
];

/** One of what stands in each pair of brackets. */
const said = (grammar: string, d: Dice): string =>
  grammar
    .replaceAll(/\[([^\]]*)\]/g, (_, choices: string) => d.pick(choices.split('|')))
    .replaceAll(/ +/g, ' ')
    .trim();

/** Headings of a log, all in one tongue and written in one way. */
export function randomHeadings(d: Dice): Partial<Record<ChannelRole, string>> {
  const grammar = d.pick(GRAMMARS);
  const written = d.pick([
    (name: string) => name,
    (name: string) => name,
    (name: string) => name,
    (name: string) => name.toUpperCase(),
    (name: string) => name.replaceAll(' ', '_'),
    (name: string) => name.normalize('NFD').replaceAll(/[\u0300-\u036f]/g, ''),
  ]);
  return Object.fromEntries(Object.entries(grammar).map(([role, one]) => [role, written(said(one, d))]));
}
