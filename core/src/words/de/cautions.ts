import type { Translation, Words } from '../words.ts';
import type { cautions as english } from '../en/cautions.ts';

export const cautions: Translation<typeof english> = {
  caution: 'Achtung',
  'read-for-this-step': 'für diesen Schritt gelesen',
  'i-have-read-this': 'Das habe ich gelesen',
  'engine-running': 'Motor läuft',
  'neutral-or-park-brake': (_: undefined, w: Words) =>
    `Leerlauf oder Parkstellung, Bremse angezogen, Keile an den Rädern. Im Freien oder mit Absaugung: Kohlenmonoxid. Abstand zu Riemen, Lüftern und Endrohr: Gas und Filter werden bei einer Regeneration heißer als ${w.temperature(600)}. Bei langem Halten der Drehzahl das Kühlwasser im Auge behalten.`,
  'cleaning-fluid': 'Reinigungsflüssigkeit',
  'filter-cold-to-the-touch': (_: undefined, w: Words) =>
    `Filter handkalt, unter ${w.span(w.temperature(40), w.temperature(50))}, wenn das Datenblatt der Flüssigkeit nicht warm erlaubt. Handschuhe und Schutzbrille, Sicherheitsdatenblatt griffbereit. Keine Haushaltssäuren, keine brennbaren Lösemittel in einen heißen Auspuff oder bei laufendem Motor. Bei beschichteten Filtern erst das Datenblatt lesen. Alles, was herausläuft, auffangen: Es ist Sonderabfall.`,
  'not-on-an-over-full':
    'Nicht bei überfülltem Filter, nicht bei unbekannter Beladung, nicht bei Öl im Auspuff. Im Freien, kein trockenes Gras und kein Kraftstoff in der Nähe, Löscher bereit, nie unbeaufsichtigt. Zum Abbrechen: Dosierung aus, Drehzahl halten, bis der Filter abkühlt. Nie in den Leerlauf fallen lassen. Die Angaben des Fahrzeugherstellers gehen vor.',
  'compressed-air': 'Druckluft',
  'goggles-sensor-off-before-you':
    'Schutzbrille. Sensor vor dem Ausblasen abziehen: nie in einen angeschlossenen Sensor, nie gegen die Haut. Ruß und Asche sind gesundheitsschädlich: Maske tragen, nass arbeiten.',
  'hot-and-dusty-parts': 'Heiße und staubige Teile',
  'exhaust-parts-cold-before-you':
    'Auspuffteile kalt, bevor sie gelöst werden. Unterstellböcke, nie der Wagenheber allein. Asche- und Rußstaub: Maske tragen, nass arbeiten.',
  'fuel-lines': 'Kraftstoffleitungen',
  'no-open-flame-no-sparks':
    'Kein Feuer, keine Funken, kein Rauchen bei offenen Kraftstoffleitungen; einen verkokten Injektor nie über einer Flamme erhitzen. Erst den Druck ablassen: Kraftstoff unter Raildruck schneidet in die Haut. Auslaufendes auffangen.',
  'hand-at-the-engine': 'Hand am Motor',
  'engine-off-and-key-out':
    'Motor aus und Schlüssel abgezogen, bevor eine Hand an Turbolader, Lüfter oder Riemen kommt. Heiße Teile abkühlen lassen. Nach dem Abstellen warten: Lüfter laufen von selbst an.',
  'sensor-under-the-pump': 'Sensor an der Handpumpe',
  'engine-off-hose-off':
    'Motor aus, Schlauch vom Sensor ab. Nie über den Messbereich, nie mit Druckluft: Beides zerstört den Sensor.',
};
