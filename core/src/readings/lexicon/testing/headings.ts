import type { ChannelRole } from '../../channelRoles.ts';
import type { Language } from '../facets.ts';

type Said = Partial<Record<ChannelRole, string>>;

/**
 * Headings as tools and people write them, by language and by what a technician would take them for; parted by bars. Written from the
 * languages, not from the lexicon.
 */
export const HEADINGS: Readonly<Record<Exclude<Language, 'trade'>, Said>> = {
  en: {
    engineSpeed:
      'Engine speed|Engine RPM|Eng. speed|RPM|ENGINE_SPEED|EngineSpeed|Crankshaft speed|Engine revs',
    dpfDeltaP:
      'DPF differential pressure|Diff. press. DPF|Particulate filter differential pressure|DPF delta P|Pressure drop across DPF|DPF pressure difference|Differential pressure sensor, particle filter|DPF_DiffPress|Exhaust differential pressure|Diesel particulate filter pressure drop',
    dpfInletPressure:
      'Pressure upstream of DPF|DPF inlet pressure|Exhaust pressure before particulate filter',
    dpfOutletPressure: 'Pressure downstream of DPF|DPF outlet pressure|Exhaust pressure after filter',
    exhaustBackPressure:
      'Exhaust back pressure|Exhaust backpressure|Turbine inlet pressure|Exhaust manifold pressure|Back pressure before turbo',
    manifoldPressure:
      'Intake manifold absolute pressure|Boost pressure|Charge air pressure|Manifold pressure|Intake manifold press.|Boost press. actual|Inlet manifold pressure',
    barometricPressure:
      'Barometric pressure|Atmospheric pressure|Ambient pressure|Baro. press.|Ambient air pressure',
    massAirFlow:
      'Mass air flow|Air mass flow|MAF|Intake air mass|Air flow rate|Airflow mass|MAF sensor|Fresh air mass flow',
    egt1: 'Exhaust temperature before turbine|EGT pre turbo|Exhaust gas temp. sensor 1|EGT 1|Turbine inlet temperature|EGT B1S1',
    egt2: 'Exhaust temp. before catalyst|EGT upstream of DOC|DOC inlet temperature|Exhaust gas temperature 2|Temperature before oxidation catalyst|EGT after turbo',
    egt3: 'DPF inlet temp|Exhaust gas temperature before particulate filter|Temp. upstream DPF|EGT3|Exhaust temperature sensor 3|Temp before DPF|DOC outlet temperature',
    egt4: 'DPF outlet temperature|Temp. after DPF|EGT downstream of particulate filter|Exhaust gas temperature sensor 4|DPF out temp.',
    coolantTemp: 'Engine coolant temperature|Coolant temp.|ECT|Cooling water temperature|Water temperature',
    intakeAirTemp:
      'Intake air temperature|IAT|Charge air temp.|Inlet air temperature|Manifold air temperature|Air temperature intake',
    ambientTemp: 'Ambient air temperature|Outside temp.|External temperature',
    oilTemp: 'Engine oil temperature|Oil temp.',
    sootMass:
      'Soot mass|DPF soot mass calculated|Soot loading|Particulate filter soot content|Soot accumulation',
    sootPercent: 'DPF load|Soot level|DPF fill level|Particulate filter saturation|DPF soot load percent',
    ashMass: 'Ash mass|DPF ash content',
    ashPercent: 'Ash loading',
    distanceSinceRegen: 'Distance since last regeneration|Mileage since DPF regeneration|Km since regen.',
    regenActive: 'DPF regeneration status|Regeneration active|Regen in progress',
    vehicleSpeed: 'Vehicle speed|Road speed|GPS speed|Veh. speed',
    pedal: 'Accelerator pedal position|Accel. pedal pos.|Pedal position|APP',
    fuelLevel: 'Fuel level|Fuel tank level',
    oilDilution: 'Oil dilution|Fuel in engine oil',
    batteryVoltage: 'Battery voltage|Control module voltage|Supply voltage',
    egrPosition: 'EGR valve position|EGR valve opening',
    turboVanePosition: 'VGT position|Turbo vane position|Variable geometry turbocharger actuator position',
    fuelRate: 'Fuel rate|Fuel consumption|Engine fuel rate',
    lambda: 'Lambda|Equivalence ratio',
  },
  de: {
    engineSpeed: 'Motordrehzahl|Drehzahl|Mot.-Drehz.|Motordrehz.|Kurbelwellendrehzahl|Drehzahl Motor',
    dpfDeltaP:
      'Differenzdruck Partikelfilter|Differenzdruck DPF|Diff.druck Partikelfilter|Abgasdifferenzdruck|Druckdifferenz Rußfilter|Partikelfilter Differenzdruck|Druckabfall DPF|Differenzdrucksensor DPF|Diff.-Druck DPF|Druckverlust Dieselpartikelfilter',
    dpfInletPressure: 'Druck vor Partikelfilter|Abgasdruck vor DPF',
    dpfOutletPressure: 'Druck nach Partikelfilter|Abgasdruck nach DPF',
    exhaustBackPressure:
      'Abgasgegendruck|Gegendruck vor Turbine|Abgasdruck vor Turbolader|Druck im Abgaskrümmer|Abgasgegendr.',
    manifoldPressure:
      'Saugrohrdruck|Ladedruck|Ladedruck Istwert|Saugrohrdr.|Druck Saugrohr|Ansaugdruck|Ladeluftdruck|Saugrohrabsolutdruck',
    barometricPressure:
      'Umgebungsdruck|Luftdruck|Atmosphärendruck|Atmosphärischer Druck|Umgebungsluftdruck|Aussendruck',
    massAirFlow:
      'Luftmasse|Luftmassenstrom|Luftm.|Ansaugluftmasse|Luftmassenmesser|Luftmasse Ist|Frischluftmasse',
    egt1: 'Abgastemperatur vor Turbolader|Abgastemp. vor Turbine|Abgastemperatur 1|Abgast. vor Turbine|Abgastemperatursensor 1|Temperatur vor Turbolader',
    egt2: 'Abgastemperatur vor Katalysator|Abgastemp. vor Oxikat|Abgast. vor Kat|Temperatur vor Oxidationskatalysator|Abgastemperatur Sensor 2',
    egt3: 'Abgastemperatur vor Partikelfilter|Abgastemp. vor DPF|Temp. vor Partikelfilter|Abgastemperatur 3|Temperatur DPF Eingang|Abgastemperatur vor Russfilter|Temperatur nach Katalysator',
    egt4: 'Abgastemperatur nach Partikelfilter|Temp. nach DPF|Temperatur hinter Partikelfilter|Abgastemp. 4|Temperatur DPF Ausgang',
    coolantTemp:
      'Kühlmitteltemperatur|Kühlwassertemperatur|Kühlm.temp.|Motortemperatur|Kuehlmitteltemperatur|Temperatur Kühlflüssigkeit',
    intakeAirTemp:
      'Ansauglufttemperatur|Ladelufttemperatur|Ansaugtemperatur|Lufttemperatur|Saugrohrtemperatur|Temperatur Ansaugluft',
    ambientTemp: 'Außentemperatur|Umgebungstemperatur|Aussenlufttemperatur',
    oilTemp: 'Öltemperatur|Motoröltemperatur|Oeltemperatur',
    sootMass: 'Rußmasse|Russmasse berechnet|Rußbeladung|Partikelmasse|Rußmenge im Partikelfilter',
    sootPercent:
      'Beladung Partikelfilter|Beladungsgrad DPF|Rußbeladung in Prozent|Füllgrad Partikelfilter|Partikelfilterbeladung',
    ashMass: 'Aschemasse|Aschebeladung Partikelfilter',
    ashPercent: 'Aschebeladung',
    distanceSinceRegen:
      'Strecke seit letzter Regeneration|Fahrstrecke seit Regeneration|km seit letzter Regeneration|Wegstrecke seit Regeneration DPF',
    regenActive: 'Regeneration aktiv|Status Regeneration|Regenerationsstatus|DPF-Regeneration läuft',
    vehicleSpeed: 'Fahrzeuggeschwindigkeit|Geschwindigkeit|Fahrgeschwindigkeit',
    pedal: 'Fahrpedalstellung|Gaspedalstellung|Pedalwert|Fahrpedal',
    fuelLevel: 'Kraftstoffstand|Tankfüllstand|Kraftstoffvorrat|Tankinhalt',
    oilDilution: 'Ölverdünnung|Kraftstoff im Öl',
    batteryVoltage: 'Batteriespannung|Bordnetzspannung|Versorgungsspannung',
    egrPosition: 'AGR-Ventil Stellung|Stellung AGR-Ventil|AGR Ventil|Abgasrückführventil Position',
    turboVanePosition: 'Leitschaufelstellung|VTG Stellung|Stellung Leitschaufeln|Turbolader Stellung',
    fuelRate: 'Kraftstoffverbrauch|Kraftstoffdurchsatz',
    lambda: 'Lambda|Luftzahl|Lambdawert',
  },
  fr: {
    engineSpeed: 'Régime moteur|Régime|Vitesse moteur|Vitesse de rotation moteur|Rég. moteur',
    dpfDeltaP:
      'Pression différentielle FAP|Pression différentielle filtre à particules|Press. différ. FAP|Perte de charge FAP|Différence de pression FAP|Delta pression FAP|Pression différentielle échappement|Pression diff. filtre|Capteur de pression différentielle',
    dpfInletPressure: 'Pression avant filtre à particules|Pression amont FAP|Pression entrée FAP',
    dpfOutletPressure: 'Pression après filtre à particules|Pression aval FAP|Pression sortie FAP',
    exhaustBackPressure:
      'Contre-pression échappement|Pression avant turbine|Contre pression|Pression des gaz d’échappement|Pression collecteur d’échappement',
    manifoldPressure:
      'Pression de suralimentation|Pression collecteur d’admission|Pression d’admission|Pression tubulure d’admission|Press. suralim.|Pression turbo|Pression absolue collecteur',
    barometricPressure: 'Pression atmosphérique|Pression ambiante|Pression barométrique|Press. atmo.',
    massAirFlow:
      'Débit d’air|Débit massique d’air|Masse d’air|Débitmètre d’air|Débit air mesuré|Masse d’air admise',
    egt1: 'Température avant turbine|Température gaz échappement avant turbo|Temp. éch. avant turbine|Température échappement 1|Température amont turbine',
    egt2: 'Température avant catalyseur|Température amont catalyseur|Temp. gaz d’échap. avant cata|Température entrée catalyseur|Température des gaz d’échappement 2',
    egt3: 'Température avant filtre à particules|Température amont FAP|Temp. entrée FAP|Température échappement avant FAP|Température échappement capteur 3|Température aval catalyseur',
    egt4: 'Température après filtre à particules|Température aval FAP|Temp. sortie FAP|Température gaz échappement 4',
    coolantTemp:
      'Température liquide de refroidissement|Température eau|Temp. eau moteur|Température moteur|Temp. liq. refroid.|Température d’eau',
    intakeAirTemp:
      'Température air admission|Température d’air|Temp. air adm.|Température air de suralimentation|Température collecteur d’admission',
    ambientTemp: 'Température extérieure|Température ambiante|Température air extérieur',
    oilTemp: 'Température d’huile|Temp. huile moteur',
    sootMass: 'Masse de suie|Quantité de suies|Masse de suies dans le FAP|Charge en suie|Masse suie calculée',
    sootPercent:
      'Charge FAP|Taux d’encrassement FAP|Encrassement filtre à particules|Saturation FAP|Niveau de suie',
    ashMass: 'Masse de cendres|Quantité de cendres',
    ashPercent: 'Taux de cendres',
    distanceSinceRegen:
      'Distance depuis la dernière régénération|Km depuis régénération|Distance parcourue depuis régénération FAP',
    regenActive: 'État régénération|Régénération en cours|Régénération active|Statut régénération FAP',
    vehicleSpeed: 'Vitesse véhicule|Vitesse du véhicule|Vitesse',
    pedal: 'Position pédale accélérateur|Pédale d’accélérateur|Position accélérateur',
    fuelLevel: 'Niveau carburant|Niveau réservoir|Jauge carburant',
    oilDilution: 'Dilution huile|Taux de dilution de l’huile|Carburant dans l’huile',
    batteryVoltage: 'Tension batterie|Tension de la batterie|Tension alimentation calculateur',
    egrPosition: 'Position vanne EGR|Vanne EGR|Ouverture vanne EGR',
    turboVanePosition: 'Position géométrie variable|Position ailettes turbo|Position turbo',
    fuelRate: 'Débit carburant|Consommation carburant|Consommation de carburant',
    lambda: 'Richesse|Lambda',
  },
  es: {
    engineSpeed:
      'Régimen del motor|Revoluciones del motor|Velocidad del motor|Régimen motor|Rev. motor|RPM motor',
    dpfDeltaP:
      'Presión diferencial DPF|Presión diferencial filtro de partículas|Pres. dif. filtro partículas|Diferencia de presión DPF|Caída de presión filtro de partículas|Presión diferencial de escape|Sensor de presión diferencial|Dif. presión FAP|Pérdida de carga DPF',
    dpfInletPressure: 'Presión antes del filtro de partículas|Presión entrada DPF',
    dpfOutletPressure: 'Presión después del filtro de partículas|Presión salida DPF',
    exhaustBackPressure:
      'Contrapresión de escape|Presión antes de la turbina|Contrapresión|Presión de gases de escape|Presión colector de escape',
    manifoldPressure:
      'Presión de sobrealimentación|Presión del colector de admisión|Presión de admisión|Presión absoluta colector|Presión de soplado|Presión del turbo|Pres. admisión',
    barometricPressure: 'Presión atmosférica|Presión ambiente|Presión barométrica|Pres. atmosf.',
    massAirFlow:
      'Masa de aire|Flujo de masa de aire|Caudal de aire|Caudal másico de aire|Caudalímetro|Masa de aire aspirado|Flujo aire',
    egt1: 'Temperatura de escape antes de la turbina|Temp. gases escape antes turbo|Temperatura gases de escape 1|Temperatura entrada turbina',
    egt2: 'Temperatura antes del catalizador|Temp. escape antes catalizador|Temperatura entrada catalizador|Temperatura gases de escape sensor 2',
    egt3: 'Temperatura antes del filtro de partículas|Temp. entrada DPF|Temperatura gases escape antes del DPF|Temperatura de escape 3|Temperatura después del catalizador|Temp. delante del filtro',
    egt4: 'Temperatura después del filtro de partículas|Temperatura salida DPF|Temp. tras el filtro de partículas|Temperatura gases de escape 4|Temperatura posterior al FAP',
    coolantTemp:
      'Temperatura del refrigerante|Temperatura líquido refrigerante|Temp. refrig.|Temperatura del agua|Temperatura del motor|Temperatura anticongelante',
    intakeAirTemp:
      'Temperatura aire de admisión|Temperatura del aire aspirado|Temp. aire adm.|Temperatura del aire|Temperatura colector de admisión',
    ambientTemp: 'Temperatura exterior|Temperatura ambiente|Temp. aire exterior',
    oilTemp: 'Temperatura del aceite|Temp. aceite motor',
    sootMass: 'Masa de hollín|Cantidad de hollín|Carga de hollín|Hollín calculado|Contenido de hollín',
    sootPercent:
      'Saturación del filtro de partículas|Carga del DPF|Nivel de hollín|Llenado filtro de partículas|Grado de saturación DPF',
    ashMass: 'Masa de ceniza|Cantidad de cenizas',
    ashPercent: 'Carga de ceniza',
    distanceSinceRegen:
      'Distancia desde la última regeneración|Km desde regeneración|Kilómetros desde última regeneración DPF',
    regenActive: 'Estado de regeneración|Regeneración activa|Regeneración en curso',
    vehicleSpeed: 'Velocidad del vehículo|Velocidad vehículo|Velocidad',
    pedal: 'Posición pedal acelerador|Pedal del acelerador|Posición del acelerador',
    fuelLevel: 'Nivel de combustible|Nivel depósito|Nivel de carburante',
    oilDilution: 'Dilución del aceite|Combustible en el aceite',
    batteryVoltage: 'Tensión de batería|Voltaje batería|Voltaje de la batería',
    egrPosition: 'Posición válvula EGR|Válvula EGR|Apertura válvula EGR',
    turboVanePosition: 'Posición geometría variable|Posición álabes turbo|Posición del turbo',
    fuelRate: 'Consumo de combustible|Caudal de combustible|Consumo combustible',
    lambda: 'Lambda|Valor lambda',
  },
  it: {
    engineSpeed:
      'Giri motore|Regime motore|Numero giri|Regime di rotazione motore|Velocità motore|Giri/min motore',
    dpfDeltaP:
      'Pressione differenziale DPF|Pressione differenziale filtro antiparticolato|Press. diff. FAP|Differenza di pressione DPF|Caduta di pressione filtro|Pressione differenziale scarico|Sensore pressione differenziale|Delta P filtro antiparticolato|Press. differ. filtro particolato',
    dpfInletPressure:
      'Pressione a monte del filtro antiparticolato|Pressione ingresso DPF|Pressione prima del DPF',
    dpfOutletPressure:
      'Pressione a valle del filtro antiparticolato|Pressione uscita DPF|Pressione dopo il DPF',
    exhaustBackPressure:
      'Contropressione di scarico|Contropressione allo scarico|Pressione prima della turbina|Pressione gas di scarico|Pressione collettore di scarico',
    manifoldPressure:
      'Pressione di sovralimentazione|Pressione collettore di aspirazione|Pressione aspirazione|Pressione assoluta collettore|Pressione turbo|Press. sovralim.',
    barometricPressure: 'Pressione atmosferica|Pressione ambiente|Pressione barometrica|Press. atm.',
    massAirFlow:
      'Massa aria|Portata aria|Portata massica aria|Flusso aria|Debimetro|Massa d’aria aspirata|Quantità aria aspirata',
    egt1: 'Temperatura gas di scarico prima della turbina|Temp. scarico pre turbina|Temperatura gas di scarico 1|Temperatura ingresso turbina|Temperatura a monte turbina',
    egt2: 'Temperatura prima del catalizzatore|Temp. gas scarico a monte catalizzatore|Temperatura ingresso catalizzatore|Temperatura gas di scarico sensore 2',
    egt3: 'Temperatura prima del filtro antiparticolato|Temp. ingresso DPF|Temperatura gas di scarico a monte DPF|Temperatura scarico 3|Temperatura a valle catalizzatore|Temp. pre DPF',
    egt4: 'Temperatura dopo il filtro antiparticolato|Temperatura a valle DPF|Temp. uscita DPF|Temperatura gas di scarico 4|Temp. post DPF',
    coolantTemp:
      'Temperatura liquido di raffreddamento|Temperatura acqua|Temp. liquido raffr.|Temperatura motore|Temperatura acqua motore|Temp. refrigerante',
    intakeAirTemp:
      'Temperatura aria aspirata|Temperatura aria|Temp. aria aspirazione|Temperatura aria di sovralimentazione|Temperatura collettore aspirazione',
    ambientTemp: 'Temperatura esterna|Temperatura ambiente|Temp. aria esterna',
    oilTemp: 'Temperatura olio|Temperatura olio motore',
    sootMass:
      'Massa fuliggine|Massa di particolato|Quantità di fuliggine|Accumulo di fuliggine|Carico fuliggine',
    sootPercent:
      'Intasamento filtro antiparticolato|Carico DPF|Saturazione filtro|Livello di intasamento DPF|Riempimento DPF',
    ashMass: 'Massa cenere|Quantità di ceneri',
    ashPercent: 'Carico ceneri',
    distanceSinceRegen:
      'Distanza dall’ultima rigenerazione|Km dall’ultima rigenerazione|Distanza percorsa dall’ultima rigenerazione DPF',
    regenActive: 'Stato rigenerazione|Rigenerazione in corso|Rigenerazione attiva',
    vehicleSpeed: 'Velocità veicolo|Velocità del veicolo|Velocità',
    pedal: 'Posizione pedale acceleratore|Pedale acceleratore|Posizione acceleratore',
    fuelLevel: 'Livello carburante|Livello serbatoio',
    oilDilution: 'Diluizione olio|Gasolio nell’olio',
    batteryVoltage: 'Tensione batteria|Tensione di alimentazione|Tensione della batteria',
    egrPosition: 'Posizione valvola EGR|Valvola EGR|Apertura valvola EGR',
    turboVanePosition: 'Posizione geometria variabile|Posizione palette turbina|Posizione attuatore turbo',
    fuelRate: 'Consumo carburante|Portata carburante|Consumo di carburante',
    lambda: 'Lambda|Valore lambda',
  },
  pl: {
    engineSpeed: 'Prędkość obrotowa silnika|Obroty silnika|Obroty|Pręd. obr. silnika|Prędkość obrotowa',
    dpfDeltaP:
      'Ciśnienie różnicowe DPF|Różnica ciśnień filtra cząstek stałych|Ciśnienie różnicowe filtra|Różnica ciśnień DPF|Spadek ciśnienia na filtrze DPF|Czujnik ciśnienia różnicowego|Ciśn. różnicowe FAP|Ciśnienie różnicowe spalin',
    dpfInletPressure: 'Ciśnienie przed filtrem cząstek stałych|Ciśnienie spalin przed DPF',
    dpfOutletPressure: 'Ciśnienie za filtrem cząstek stałych|Ciśnienie spalin za DPF',
    exhaustBackPressure:
      'Przeciwciśnienie spalin|Ciśnienie spalin przed turbiną|Ciśnienie spalin|Przeciwciśnienie wydechu',
    manifoldPressure:
      'Ciśnienie doładowania|Ciśnienie w kolektorze dolotowym|Ciśnienie bezwzględne w kolektorze dolotowym|Ciśnienie kolektora|Ciśn. doładowania|Ciśnienie dolotu',
    barometricPressure: 'Ciśnienie atmosferyczne|Ciśnienie otoczenia|Ciśnienie barometryczne|Ciśn. atm.',
    massAirFlow:
      'Masa powietrza|Przepływ powietrza|Masowy przepływ powietrza|Przepływomierz powietrza|Ilość powietrza|Przepływ masy powietrza',
    egt1: 'Temperatura spalin przed turbiną|Temp. spalin przed turbosprężarką|Temperatura spalin 1|Temperatura przed turbiną',
    egt2: 'Temperatura spalin przed katalizatorem|Temperatura przed katalizatorem|Temp. spalin 2|Temperatura spalin czujnik 2|Temperatura za turbiną',
    egt3: 'Temperatura spalin przed DPF|Temperatura przed filtrem cząstek stałych|Temp. przed filtrem|Temperatura spalin 3|Temperatura za katalizatorem|Temperatura na wlocie DPF',
    egt4: 'Temperatura spalin za DPF|Temperatura za filtrem cząstek stałych|Temp. po DPF|Temperatura spalin 4|Temperatura na wylocie DPF',
    coolantTemp:
      'Temperatura płynu chłodzącego|Temperatura cieczy chłodzącej|Temp. silnika|Temperatura cieczy|Temperatura wody|Temp. płynu chłodn.',
    intakeAirTemp:
      'Temperatura powietrza dolotowego|Temperatura powietrza zasysanego|Temperatura powietrza|Temp. powietrza w kolektorze|Temperatura powietrza doładowania',
    ambientTemp: 'Temperatura zewnętrzna|Temperatura otoczenia|Temp. powietrza zewnętrznego',
    oilTemp: 'Temperatura oleju|Temp. oleju silnika',
    sootMass: 'Masa sadzy|Ilość sadzy|Masa sadzy w filtrze|Obliczona masa sadzy|Zawartość sadzy',
    sootPercent:
      'Zapełnienie filtra DPF|Obciążenie DPF|Stopień zapełnienia filtra|Napełnienie filtra cząstek stałych|Poziom sadzy',
    ashMass: 'Masa popiołu|Ilość popiołu',
    ashPercent: 'Zapełnienie popiołem',
    distanceSinceRegen:
      'Dystans od ostatniej regeneracji|Przebieg od regeneracji|Km od ostatniej regeneracji|Odległość od ostatniej regeneracji DPF',
    regenActive: 'Regeneracja aktywna|Stan regeneracji|Status regeneracji DPF|Regeneracja w toku',
    vehicleSpeed: 'Prędkość pojazdu|Prędkość|Szybkość pojazdu',
    pedal: 'Położenie pedału gazu|Pedał przyspieszenia|Pozycja pedału przyspieszenia',
    fuelLevel: 'Poziom paliwa|Poziom paliwa w zbiorniku',
    oilDilution: 'Rozcieńczenie oleju|Paliwo w oleju',
    batteryVoltage: 'Napięcie akumulatora|Napięcie zasilania',
    egrPosition: 'Położenie zaworu EGR|Zawór EGR|Otwarcie zaworu EGR',
    turboVanePosition:
      'Położenie kierownic turbosprężarki|Pozycja kierownicy turbiny|Położenie łopatek turbiny',
    fuelRate: 'Zużycie paliwa|Przepływ paliwa',
    lambda: 'Lambda|Współczynnik lambda',
  },
  nl: {
    engineSpeed: 'Motortoerental|Toerental|Toerental motor|Motorsnelheid|Krukastoerental',
    dpfDeltaP:
      'Drukverschil roetfilter|Verschildruk DPF|Differentiële druk roetfilter|Roetfilter drukverschil|Drukval over roetfilter|Verschildruk partikelfilter|Drukverschilsensor|Uitlaatgasverschildruk|Drukverschil deeltjesfilter',
    dpfInletPressure: 'Druk voor roetfilter|Uitlaatdruk voor DPF',
    dpfOutletPressure: 'Druk na roetfilter|Uitlaatdruk na DPF',
    exhaustBackPressure:
      'Uitlaattegendruk|Tegendruk uitlaat|Druk voor turbine|Uitlaatgasdruk|Druk uitlaatspruitstuk',
    manifoldPressure:
      'Inlaatspruitstukdruk|Laaddruk|Turbodruk|Druk inlaatspruitstuk|Laaddruk gemeten|Inlaatdruk',
    barometricPressure: 'Luchtdruk|Omgevingsdruk|Atmosferische druk|Barometrische druk|Buitenluchtdruk',
    massAirFlow:
      'Luchtmassa|Luchtmassastroom|Luchtmassameter|Aangezogen luchtmassa|Inlaatluchtmassa|Luchthoeveelheid',
    egt1: 'Uitlaatgastemperatuur voor turbine|Uitlaatgastemp. voor turbo|Uitlaatgastemperatuur 1|Temperatuur voor turbo',
    egt2: 'Uitlaatgastemperatuur voor katalysator|Temp. voor katalysator|Uitlaatgastemperatuur 2|Temperatuur voor oxidatiekatalysator',
    egt3: 'Uitlaatgastemperatuur voor roetfilter|Temp. voor DPF|Temperatuur voor roetfilter|Uitlaatgastemperatuursensor 3|Temperatuur na katalysator|Temperatuur ingang roetfilter',
    egt4: 'Uitlaatgastemperatuur na roetfilter|Temp. na DPF|Temperatuur achter roetfilter|Uitlaatgastemperatuur 4|Temperatuur uitgang roetfilter',
    coolantTemp:
      'Koelvloeistoftemperatuur|Koelwatertemperatuur|Temp. koelvloeistof|Motortemperatuur|Koelvloeistoftemp.',
    intakeAirTemp:
      'Inlaatluchttemperatuur|Aanzuigluchttemperatuur|Laadluchttemperatuur|Temperatuur inlaatlucht|Inlaattemp.',
    ambientTemp: 'Buitentemperatuur|Omgevingstemperatuur|Buitenluchttemperatuur',
    oilTemp: 'Olietemperatuur|Motorolietemperatuur',
    sootMass: 'Roetmassa|Hoeveelheid roet|Roetmassa berekend|Roetbelading|Massa roet in filter',
    sootPercent:
      'Belading roetfilter|Vulgraad roetfilter|Roetfilter verzadiging|Beladingsgraad DPF|Roetniveau',
    ashMass: 'Asmassa|Hoeveelheid as',
    ashPercent: 'Asbelading',
    distanceSinceRegen:
      'Afstand sinds laatste regeneratie|Km sinds regeneratie|Afgelegde afstand sinds regeneratie',
    regenActive: 'Regeneratie actief|Status regeneratie|Regeneratiestatus|Regeneratie bezig',
    vehicleSpeed: 'Voertuigsnelheid|Snelheid|Rijsnelheid',
    pedal: 'Gaspedaalstand|Stand gaspedaal|Gaspedaalpositie',
    fuelLevel: 'Brandstofniveau|Tankniveau|Brandstofpeil',
    oilDilution: 'Olieverdunning|Brandstof in olie',
    batteryVoltage: 'Accuspanning|Boordspanning|Voedingsspanning',
    egrPosition: 'Stand EGR-klep|EGR-klepstand|EGR klep|Positie EGR-klep',
    turboVanePosition: 'Stand turboschoepen|Schoepenstand turbo|Turbo positie',
    fuelRate: 'Brandstofverbruik|Brandstofstroom',
    lambda: 'Lambda|Lambdawaarde',
  },
  pt: {
    engineSpeed: 'Rotação do motor|Regime do motor|RPM do motor|Velocidade do motor|Rotações do motor',
    dpfDeltaP:
      'Pressão diferencial DPF|Pressão diferencial do filtro de partículas|Diferença de pressão DPF|Queda de pressão no filtro|Pressão dif. filtro de partículas|Sensor de pressão diferencial|Pressão diferencial de escape|Perda de carga do filtro de partículas',
    dpfInletPressure: 'Pressão antes do filtro de partículas|Pressão na entrada do DPF',
    dpfOutletPressure: 'Pressão depois do filtro de partículas|Pressão na saída do DPF|Pressão após o DPF',
    exhaustBackPressure:
      'Contrapressão de escape|Pressão antes da turbina|Contrapressão|Pressão dos gases de escape|Pressão do coletor de escape',
    manifoldPressure:
      'Pressão de admissão|Pressão do coletor de admissão|Pressão de sobrealimentação|Pressão absoluta do coletor|Pressão do turbo|Pressão do turbocompressor',
    barometricPressure: 'Pressão atmosférica|Pressão ambiente|Pressão barométrica|Pressão atm.',
    massAirFlow:
      'Massa de ar|Fluxo de massa de ar|Fluxo de ar|Caudal de ar|Caudal mássico de ar|Massa de ar admitida|Vazão de ar',
    egt1: 'Temperatura de escape antes da turbina|Temp. gases de escape antes do turbo|Temperatura dos gases de escape 1|Temperatura na entrada da turbina',
    egt2: 'Temperatura antes do catalisador|Temp. escape antes do catalisador|Temperatura dos gases de escape sensor 2|Temperatura de entrada do catalisador',
    egt3: 'Temperatura antes do filtro de partículas|Temp. entrada DPF|Temperatura dos gases de escape antes do DPF|Temperatura de escape 3|Temperatura após o catalisador|Temperatura a montante do DPF',
    egt4: 'Temperatura depois do filtro de partículas|Temperatura após o DPF|Temp. saída DPF|Temperatura dos gases de escape 4|Temperatura a jusante do DPF',
    coolantTemp:
      'Temperatura do líquido de arrefecimento|Temperatura da água|Temp. líq. arrefec.|Temperatura do motor|Temperatura do refrigerante',
    intakeAirTemp:
      'Temperatura do ar de admissão|Temperatura do ar|Temp. ar admissão|Temperatura do ar aspirado|Temperatura no coletor de admissão',
    ambientTemp: 'Temperatura exterior|Temperatura ambiente|Temperatura externa',
    oilTemp: 'Temperatura do óleo|Temperatura do óleo do motor',
    sootMass:
      'Massa de fuligem|Quantidade de fuligem|Carga de fuligem|Fuligem calculada|Acumulação de fuligem',
    sootPercent:
      'Saturação do filtro de partículas|Carga do DPF|Nível de fuligem|Enchimento do filtro de partículas|Carregamento do DPF',
    ashMass: 'Massa de cinzas|Quantidade de cinza',
    ashPercent: 'Carga de cinzas',
    distanceSinceRegen:
      'Distância desde a última regeneração|Km desde a regeneração|Quilómetros desde a última regeneração',
    regenActive: 'Estado da regeneração|Regeneração ativa|Regeneração em curso',
    vehicleSpeed: 'Velocidade do veículo|Velocidade',
    pedal: 'Posição do pedal do acelerador|Pedal do acelerador|Posição do acelerador',
    fuelLevel: 'Nível de combustível|Nível do tanque',
    oilDilution: 'Diluição do óleo|Combustível no óleo',
    batteryVoltage: 'Tensão da bateria|Voltagem da bateria',
    egrPosition: 'Posição da válvula EGR|Válvula EGR|Abertura da válvula EGR',
    turboVanePosition: 'Posição das palhetas do turbo|Posição da geometria variável',
    fuelRate: 'Consumo de combustível|Caudal de combustível',
    lambda: 'Lambda|Valor lambda',
  },
};

/** Headings that sound like one of ours and are of something else. */
export const TRAPS: Readonly<Record<Exclude<Language, 'trade'>, string>> = {
  en: 'Boost pressure setpoint|Desired rail pressure|Rail pressure|Fuel pressure|Oil pressure|Tyre pressure|Target engine speed|Turbo speed|Fan speed|Wheel speed rear left|Gearbox oil temperature|EGR cooler temperature|SCR inlet temperature|Temperature after SCR catalyst|EGR mass flow|Exhaust mass flow|Fuel filter differential pressure|Oil filter differential pressure|Air filter pressure drop|DPF differential pressure voltage|DPF pressure sensor raw|Soot limit|Number of regenerations|Regeneration request|Average distance between regenerations|Brake pedal|Clutch pedal|Cabin temperature|Battery current|Battery temperature|Idle speed target|Crankcase pressure|Brake air pressure|Exhaust flap position|Radiator outlet temperature|EGT bank 2 sensor 1|Learned offset differential pressure',
  de: 'Ladedruck Sollwert|Raildruck|Kraftstoffdruck|Öldruck|Reifendruck|Solldrehzahl|Turbinendrehzahl|Lüfterdrehzahl|Getriebeöltemperatur|Abgastemperatur nach SCR|Temperatur vor SCR-Katalysator|AGR-Kühler Temperatur|Abgasmassenstrom|Differenzdruck Kraftstofffilter|Spannung Differenzdrucksensor|Rußmasse Grenzwert|Anzahl Regenerationen|Regeneration Anforderung|Bremspedal|Innenraumtemperatur|Batteriestrom|Leerlaufdrehzahl Soll|Kurbelgehäusedruck|Differenzdruck Lernwert|Ladedruckregelung Tastverhältnis|Luftfilter Unterdruck|Einspritzmenge|Kraftstofftemperatur',
  fr: 'Consigne pression de suralimentation|Pression rampe|Pression carburant|Pression d’huile|Pression pneus|Régime consigne|Régime turbo|Température huile boîte|Température après SCR|Température gaz EGR|Pression différentielle filtre à air|Tension capteur pression différentielle|Masse de suie limite|Nombre de régénérations|Demande de régénération|Pédale de frein|Température habitacle|Courant batterie|Température carburant|Vitesse roue|Pression de frein|Distance moyenne entre régénérations',
  es: 'Presión de sobrealimentación deseada|Presión del raíl de combustible|Presión de combustible|Presión de aceite|Presión de neumáticos|Régimen objetivo|Temperatura aceite caja de cambios|Temperatura después del SCR|Temperatura EGR|Presión diferencial filtro de aire|Tensión sensor presión diferencial|Límite de hollín|Número de regeneraciones|Solicitud de regeneración|Pedal de freno|Temperatura interior|Corriente de batería|Temperatura de combustible|Velocidad de rueda',
  it: 'Pressione sovralimentazione richiesta|Pressione rail|Pressione carburante|Pressione olio|Pressione pneumatici|Giri motore obiettivo|Temperatura olio cambio|Temperatura dopo SCR|Temperatura EGR|Pressione differenziale filtro aria|Tensione sensore pressione differenziale|Limite massa fuliggine|Numero di rigenerazioni|Richiesta rigenerazione|Pedale freno|Temperatura abitacolo|Corrente batteria|Temperatura carburante|Velocità ruota',
  pl: 'Zadane ciśnienie doładowania|Ciśnienie paliwa|Ciśnienie paliwa na listwie|Ciśnienie oleju|Ciśnienie w oponach|Zadane obroty|Temperatura oleju skrzyni biegów|Temperatura za SCR|Temperatura EGR|Ciśnienie różnicowe filtra powietrza|Napięcie czujnika ciśnienia różnicowego|Graniczna masa sadzy|Liczba regeneracji|Żądanie regeneracji|Pedał hamulca|Temperatura w kabinie|Prąd akumulatora|Temperatura paliwa|Prędkość koła',
  nl: 'Gewenste laaddruk|Raildruk|Brandstofdruk|Oliedruk|Bandenspanning|Gewenst toerental|Temperatuur versnellingsbakolie|Temperatuur na SCR|EGR-temperatuur|Drukverschil luchtfilter|Spanning verschildruksensor|Grenswaarde roetmassa|Aantal regeneraties|Regeneratie aanvraag|Rempedaal|Interieurtemperatuur|Brandstoftemperatuur|Wielsnelheid|Remdruk',
  pt: 'Pressão de sobrealimentação desejada|Pressão do rail|Pressão de combustível|Pressão do óleo|Pressão dos pneus|Rotação alvo|Temperatura do óleo da caixa|Temperatura após o SCR|Temperatura EGR|Pressão diferencial do filtro de ar|Tensão do sensor de pressão diferencial|Limite de fuligem|Número de regenerações|Pedido de regeneração|Pedal do freio|Temperatura da cabine|Corrente da bateria|Temperatura do combustível|Velocidade da roda',
};

/** Cut short, in signs and in the mixed speech of tools; `none` is of something else. */
export const CUT_SHORT: Readonly<Partial<Record<ChannelRole | 'none', string>>> = {
  engineSpeed:
    'Eng speed (rpm)|N_eng|engine.speed|Motor RPM|Drehz. Motor|Rég. mot.|Nb tours moteur|Rev. del motor|Regim. motore|Obr. silnika|Pręd. obrotowa|Toeren motor|Rot. motor|Engine_RPM_act|Motordrehzahl [1/min]',
  dpfDeltaP:
    'DPF diff press|dP DPF|ΔP DPF|DPF_dP_mbar|Diff. pressure particulate filter|Pressure differential DPF|P diff DPF|Diff Druck PF|Partikelfilter: Differenzdruck|DPF Differenzdr.|Druckdiff. Partikelfilter|Press. diff. filtre à part.|ΔP FAP|Pression différ. filtre particules|Difer. de presión DPF|P. diferencial FAP|Pres. difer. filtro|Diff. pressione filtro part.|Press. differenz. DPF|Różn. ciśnień DPF|Ciśn. różn. DPF|Drukversch. roetfilter|Diff.druk DPF|Roetfilter verschildruk|Pres. diferencial filtro part.|Dif. de pressão FAP|Exhaust DPF delta pressure|Soot filter differential pressure|Filterdifferenzdruck|Differenzdruck über Partikelfilter|Pressure sensor DPF differential',
  exhaustBackPressure:
    'Exh. back press.|P3|Abgasgegendruck vor Turbine|Pression échapp. avant turbine|Contrapr. escape|Pressione scarico a monte turbina|Ciśn. spalin przed turb.|Uitlaatgastegendruk|Pressão antes do turbo|Exhaust manifold press.|Abgasdruck',
  manifoldPressure:
    'Intake man. press.|MAP sensor|Boost act.|Charge press.|Saugrohrabs.druck|Ladedr. ist|Ladedruck abs.|Press. adm.|Pression air suralimentation|Pres. colector adm.|Press. collett. aspiraz.|Ciśn. w kol. dol.|Laaddr.|Druk in inlaatspruitstuk|Pres. admissão|Turbo boost pressure|Absolute manifold pressure',
  barometricPressure:
    'Baro|Barometer|Atm. pressure|Umgebungsdr.|Press. atmosph.|Presión barom.|Press. ambiente|Ciśn. otoczenia|Omgevingsdr.|P ambient',
  massAirFlow:
    "Air mass|MAF g/s|Mass air flow rate|Measured air mass|LMM|Luftmassenstr.|Luftmasse gemessen|Débit air|Q air|Masse air mesurée|Masa aire medida|Caudal aire|Massa aria misurata|Portata d'aria|Masa pow.|Przepł. powietrza|Luchtmassa gemeten|Massa de ar medida|Débito de ar",
  egt1: 'Pre-turbo EGT|EGT (before turbo)|Exh temp upstream turbine|AGT vor Turbine|Abgastemp. v. Turbolader|T° avant turbine|Temp. gaz éch. av. turbine|Temp. escape antes turbina|T gas scarico monte turbina|Temp. spalin przed turb.|Temp. uitlaatgas voor turbo|Temp. escape antes da turb.|exhaust_temp_pre_turbine',
  egt3: 'EGT DPF in|Exhaust temp DPF inlet|Temp DPF upstream|Abgastemp. v. DPF|T vor DPF|Temp. PF Eingang|Temp. amont filtre à particules|T° entrée FAP|Temp. gaz avant FAP|Temp. antes DPF|Temp. entrada filtro partículas|Temp. monte DPF|Temp. gas scarico ingr. DPF|Temp. przed DPF|Temp. spalin wlot DPF|Uitlaatgastemp. voor DPF|Temp. montante FAP|pre_DPF_temp',
  egt4: 'EGT DPF out|Post-DPF temp|Temp DPF downstream|T nach DPF|Abgastemp. n. DPF|T° sortie FAP|Temp. aval filtre à particules|Temp. después DPF|Temp. salida filtro|Temp. valle DPF|Temp. za DPF|Temp. spalin wylot DPF|Temp. jusante FAP|exhTempPostDPF',
  egt2: 'Temp pre cat|DOC in temp|EGT DOC inlet|T vor Kat|Temp. v. Oxi-Kat|T° avant cata|Temp. antes cat.|T monte cat.|Temp. przed kat.|Temp. voor kat|Temp. antes do cat.',
  coolantTemp:
    'Coolant temp|CLT|Engine temp|Water temp|Kühlmitteltemp.|KM-Temp.|T Kühlmittel|Temp. liquide refroid.|T° eau|Temp. agua|Temp. líquido refrig.|T acqua|Temp. liq. raffredd.|Temp. cieczy chłodz.|Koelvl. temp.|Temp. água|Temp. arrefecimento',
  intakeAirTemp:
    'Intake temp|Air intake temp.|Charge air temperature after intercooler|Ansaugl.temp.|Temp. Ladeluft|Ansauglufttemp.|T° air admission|Temp. air|Temp. aire admisión|T aria aspirata|Temp. pow. dolot.|Inlaatluchttemp.|Temp. ar de adm.',
  sootMass:
    'Soot (g)|DPF soot [g]|Calculated soot mass|Soot mass in DPF|Russ berechnet|Rußmasse Partikelfilter|Suie FAP|Masse suie|Hollín DPF|Fuliggine DPF|Sadza DPF|Roet in filter|Fuligem DPF',
  sootPercent:
    'DPF loading %|Filter load|Filterbeladung|Charge filtre à particules|Carga filtro partículas|Carico filtro antiparticolato|Zapełn. DPF|Beladingsgraad roetfilter|Carga filtro partículas %',
  vehicleSpeed:
    'Speed km/h|Veh speed|VSS|Fzg-Geschwindigkeit|Vit. véhicule|Vel. vehículo|Vel. veicolo|Pręd. pojazdu|Vel. do veículo',
  distanceSinceRegen:
    'Dist. since regen|Distance since DPF regeneration|Km seit Reg.|Dist. depuis régén.|Dist. desde última regen.|Dist. da ultima rigen.|Dyst. od regen.|Afst. sinds regen.',
  regenActive:
    'Regen status|DPF regen active|Regeneration|Regen. aktiv|Régén. en cours|Regen. activa|Rigener. attiva|Regen. aktywna|DPF regeneration mode',
  pedal:
    'Accelerator position|Gas pedal|Fahrpedalwert|Pos. pédale accél.|Pos. pedal acel.|Pos. pedale accel.|Poł. pedału gazu|Pos. pedal do acel.',
  batteryVoltage:
    'Batt. voltage|Battery (V)|Battery|Batt.-Spannung|Tens. batterie|Tensión bat.|Tens. batt.|Nap. akum.',
  oilDilution: 'Oil dilution %|Fuel dilution|Ölverdünnung %|Dilut. huile',
  fuelRate: 'Fuel consumption rate|Verbrauch Kraftstoff',
  none: "DPF temp sensor voltage|Diff. pressure set|Boost deviation|Boost control duty|Soot burn rate|DPF status|EGR temp|EGT target|EGT max|Rail press act|Fuel temp|Intake throttle|Oil level|Coolant level|NOx upstream SCR|NOx sensor|Urea level|Reductant tank temp|Trans. oil temp|Ambient light|Air conditioning pressure|AC pressure|Refrigerant pressure|Turbine speed|Turbocharger speed|Engine torque|Engine load|Idle speed|Cylinder 1 balance|Injection quantity|Oil temp gearbox|DPF replacement counter|Time since regeneration|Number of regen|Brake booster vacuum|Power steering pressure|Ladedruck soll|Ladedr. Sollw.|Abgasmasse|Saugrohrklappe|Motormoment|Motorlast|Lüfter|Kraftstofftemp.|Öldr.|Öldruck ist|Kühlmittelstand|Kühlmitteldruck|Charge moteur|Niveau d'huile|Couple moteur|Pression clim|Pression pompe|Pres. climatizador|Par motor|Carga del motor|Nivel de aceite|Carico motore|Coppia motore|Livello olio|Obciążenie silnika|Moment obrotowy silnika|Motorbelasting|Motorkoppel|Oliepeil|Carga do motor|Binário do motor|Exhaust brake pressure|Crankcase press.|DPF differential pressure offset|DPF differential pressure plausibility|DPF delta P limit|Soot mass max|Ash limit|Distance to next service|Average fuel consumption total time|Tank pressure|Urea tank level|Hydraulic oil temp|Cabin air temperature|Heated seat|Charge cooler bypass valve|Wastegate duty|Battery state of charge|Alternator voltage|Sensor supply voltage ratio|Steering angle|Gear position|Clutch position|Wheel speed",
};
