import { describe, expect, it } from 'vitest';
import { namedFault } from './namedFaults.ts';

/** Names as tools print them, with the code that says the same; written from the languages. */
const NAMED: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  P2463: {
    en: 'Particulate filter soot accumulation',
    de: 'Partikelfilter Beladung zu hoch',
    fr: 'Filtre à particules colmaté',
    es: 'Filtro de partículas obstruido',
    it: 'Filtro antiparticolato intasato',
    pl: 'Filtr cząstek stałych zapchany',
    nl: 'Roetfilter verstopt',
    pt: 'Filtro de partículas obstruído',
  },
  P2453: {
    en: 'Differential pressure sensor implausible',
    de: 'Differenzdrucksensor unplausibel',
    fr: 'Capteur de pression différentielle : signal incohérent',
    es: 'Sensor de presión diferencial señal no plausible',
    it: 'Sensore pressione differenziale non plausibile',
    pl: 'Czujnik ciśnienia różnicowego sygnał niewiarygodny',
    nl: 'Verschildruksensor onwaarschijnlijk signaal',
    pt: 'Sensor de pressão diferencial sinal implausível',
  },
  P2454: {
    en: 'DPF differential pressure sensor circuit open',
    de: 'Differenzdrucksensor Kurzschluss nach Masse',
    fr: 'Capteur pression différentielle court-circuit',
    es: 'Circuito del sensor de presión diferencial abierto',
    it: 'Sensore pressione differenziale circuito interrotto',
    pl: 'Obwód czujnika ciśnienia różnicowego przerwa',
    nl: 'Drukverschilsensor kortsluiting',
    pt: 'Sensor de pressão diferencial circuito aberto',
  },
  P0101: {
    en: 'Air mass meter signal',
    de: 'Luftmassenmesser Signal unplausibel',
    fr: 'Débitmètre d’air signal incohérent',
    es: 'Caudalímetro señal no plausible',
    it: 'Debimetro segnale non plausibile',
    pl: 'Przepływomierz powietrza sygnał niewiarygodny',
    nl: 'Luchtmassameter signaal onwaarschijnlijk',
    pt: 'Caudalímetro sinal implausível',
  },
  P0128: {
    en: 'Coolant thermostat stuck',
    de: 'Thermostat Kühlmittel klemmt',
    fr: 'Thermostat bloqué',
    es: 'Termostato bloqueado',
    it: 'Termostato bloccato',
    pl: 'Termostat zablokowany',
    nl: 'Thermostaat blijft open',
    pt: 'Termostato bloqueado',
  },
  P0401: {
    en: 'EGR flow insufficient',
    de: 'AGR Durchsatz zu niedrig',
    fr: 'Débit EGR insuffisant',
    es: 'Caudal EGR insuficiente',
    it: 'Flusso EGR insufficiente',
    pl: 'Przepływ EGR niewystarczający',
    nl: 'EGR-stroom onvoldoende',
    pt: 'Fluxo EGR insuficiente',
  },
  P0299: {
    en: 'Boost pressure too low',
    de: 'Ladedruck zu niedrig',
    fr: 'Pression de suralimentation trop basse',
    es: 'Presión de sobrealimentación baja',
    it: 'Pressione di sovralimentazione bassa',
    pl: 'Ciśnienie doładowania zbyt niskie',
    nl: 'Laaddruk te laag',
    pt: 'Pressão de sobrealimentação baixa',
  },
  P252C: {
    en: 'Oil dilution',
    de: 'Ölverdünnung',
    fr: 'Dilution de l’huile',
    es: 'Dilución del aceite',
    it: 'Diluizione olio',
    pl: 'Rozcieńczenie oleju',
    nl: 'Olieverdunning',
    pt: 'Diluição do óleo',
  },
  P0380: {
    en: 'Glow plug control circuit',
    de: 'Glühkerzen Stromkreis',
    fr: 'Bougies de préchauffage circuit',
    es: 'Circuito de precalentamiento',
    it: 'Candelette di preriscaldo circuito',
    pl: 'Świece żarowe obwód',
    nl: 'Gloeibougies circuit',
    pt: 'Velas de incandescência circuito',
  },
  P242A: {
    en: 'Exhaust temperature sensor before particulate filter',
    de: 'Abgastemperatursensor vor Partikelfilter',
    fr: 'Capteur température avant filtre à particules',
    es: 'Sensor de temperatura antes del filtro de partículas',
    it: 'Sensore temperatura a monte del filtro antiparticolato',
    pl: 'Czujnik temperatury przed filtrem cząstek stałych',
    nl: 'Temperatuursensor voor roetfilter',
    pt: 'Sensor de temperatura antes do filtro de partículas',
  },
  P2458: {
    en: 'Regeneration not completed',
    de: 'Regeneration unvollständig',
    fr: 'Régénération incomplète',
    es: 'Regeneración incompleta',
    it: 'Rigenerazione incompleta',
    pl: 'Regeneracja niepełna',
    nl: 'Regeneratie afgebroken',
    pt: 'Regeneração incompleta',
  },
  P242F: {
    en: 'Ash load of the filter',
    de: 'Aschebeladung Partikelfilter',
    fr: 'Cendres filtre à particules',
    es: 'Ceniza en el filtro',
    it: 'Cenere nel filtro',
    pl: 'Popiół w filtrze',
    nl: 'Asbelading roetfilter',
    pt: 'Cinzas no filtro',
  },
};

/** More of them, of many tools, by code. */
const OF_MANY_TOOLS: Readonly<Record<string, string>> = {
  P2463:
    'DPF blocked|Diesel particulate filter soot overload|DPF clogged|Particle filter load too high|DPF saturated|Partikelfilter verstopft|Rußbeladung zu hoch|DPF überladen|Filtre à particules saturé|FAP encrassé|Surcharge en suies|FAP colmatage|Filtro de partículas saturado|Exceso de hollín en el filtro|DPF obstruido|Filtro antiparticolato saturo|Accumulo eccessivo di particolato|DPF intasato|Filtr DPF zapełniony|Nadmierne nagromadzenie sadzy|Filtr cząstek zatkany|Roetfilter vol|Roetbelading te hoog|DPF verzadigd|Filtro de partículas saturado|Excesso de fuligem no filtro|DPF entupido',
  P2453:
    'DPF pressure sensor range/performance|Differential pressure sensor A performance|Particulate filter pressure sensor signal implausible|Differenzdruckgeber Partikelfilter unplausibles Signal|Sensor Differenzdruck Plausibilität|Capteur de pression différentielle FAP incohérence|Sonde pression différentielle signal non plausible|Sensor presión diferencial DPF rango|Sensore differenziale FAP segnale non plausibile|Czujnik różnicy ciśnień DPF nieprawidłowy sygnał|Verschildruksensor roetfilter ongeloofwaardig|Sensor pressão diferencial DPF sinal implausível',
  P2454:
    'DPF pressure sensor circuit low|Differential pressure sensor short to ground|Differenzdrucksensor Leitungsunterbrechung|Differenzdrucksensor elektrischer Fehler|Capteur pression différentielle circuit ouvert|Capteur pression FAP court-circuit à la masse|Sensor presión diferencial cortocircuito|Circuito sensor presión FAP|Sensore pressione differenziale corto circuito a massa|Czujnik różnicy ciśnień zwarcie do masy|Verschildruksensor onderbreking|Sensor de pressão diferencial curto-circuito',
  P0401:
    'EGR flow too low|EGR insufficient flow|AGR-System Durchsatz zu gering|AGR Durchfluss unzureichend|Débit EGR trop faible|Flujo EGR insuficiente|Flusso EGR insufficiente|Przepływ EGR za mały|EGR doorstroming te laag|Fluxo EGR insuficiente',
  P0101:
    'Mass air flow sensor performance|MAF implausible|Luftmassenmesser unplausibel|LMM Signal fehlerhaft|Débitmètre incohérent|Caudalímetro de aire rango|Misuratore massa aria segnale|Przepływomierz nieprawidłowy|Luchtmassameter ongeloofwaardig|Medidor de massa de ar implausível',
  P0128:
    'Thermostat malfunction|Coolant temperature too low|Thermostat defekt|Kühlmitteltemperatur zu niedrig|Température liquide de refroidissement trop basse|Termostato averiado|Termostato guasto|Temperatura cieczy za niska|Thermostaat defect|Temperatura do líquido baixa',
  P252C:
    'Oil diluted with fuel|Engine oil deterioration|Oil quality poor|Ölverdünnung zu hoch|Motoröl verdünnt|Dilution de l’huile|Huile diluée|Dilución de aceite excesiva|Diluizione olio motore|Rozcieńczenie oleju paliwem|Olie verdund|Diluição do óleo',
  P242F:
    'DPF ash load|Ash accumulation limit reached|Aschebeladung Partikelfilter|Ascheeinlagerung zu hoch|Accumulation de cendres FAP|Acumulación de ceniza|Accumulo di ceneri|Nagromadzenie popiołu|Asophoping|Acumulação de cinzas',
  P2002:
    'DPF efficiency below threshold|Particulate filter efficiency too low|Wirkungsgrad Partikelfilter zu gering|Efficacité du filtre à particules insuffisante|Eficiencia del filtro de partículas baja|Efficienza filtro antiparticolato bassa|Skuteczność filtra cząstek za niska|Rendement roetfilter te laag|Eficiência do filtro de partículas baixa',
};
describe('names of faults without numbers', () => {
  it.each(Object.entries(NAMED))('say %s in eight languages', (code, names) => {
    for (const [language, name] of Object.entries(names))
      expect(namedFault(name), `${language}: ${name}`).toBe(code);
  });

  it.each(Object.entries(OF_MANY_TOOLS))('say %s as many tools print it', (code, names) => {
    for (const name of names.split('|')) expect(namedFault(name), name).toBe(code);
  });

  it.each([
    'Brake pressure sensor',
    'Reductant tank level low',
    'Fuel rail pressure too low',
    'Türsteuergerät keine Kommunikation',
    'Porte arrière ouverte',
    'Air conditioning compressor',
    'Airbag',
    'SCR catalyst efficiency below threshold',
    'P2463',
  ])('“%s” is none of ours', (name) => {
    expect(namedFault(name)).toBeUndefined();
  });

  it.each([
    ['Exhaust gas temperature sensor 2', 'P2031'],
    ['Exhaust gas temperature sensor 2 signal too low', 'P2032'],
    ['Exhaust gas temperature sensor 2 signal too high', 'P2033'],
    ['Exhaust temperature sensor before turbine implausible', 'P2080'],
    ['Exhaust temperature sensor after particulate filter circuit', 'P246E'],
  ])('%s: by the direction that is said', (name, code) => {
    expect(namedFault(name)).toBe(code);
  });
});
