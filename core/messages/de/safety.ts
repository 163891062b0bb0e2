import type { Caution } from '../en/safety.ts';

/** Cautions, shown where the act is planned. Local codes, data sheets and licensed trades decide. */
export const SAFETY: Readonly<Record<Caution, string>> = {
  cutting:
    'Nass oder mit Absaugung schneiden, dichte Atemschutzmaske tragen; der Staub schadet der Lunge. Augen- und Gehörschutz, Haube auf, Hände weg vom Blatt, die Säge am Fehlerstromschutzschalter.',
  fixtures:
    'Vor dem Öffnen oder Umfliesen einer Dose abschalten und Spannungsfreiheit prüfen; wo das Gesetz es verlangt, durch die Elektrofachkraft. Wasser und Abwasser durch zugelassene Betriebe.',
  levelling:
    'Beim Abschleifen entsteht Staub, der der Lunge schadet: Absaugung und dichte Atemschutzmaske. Alte Böden, Kleber und Platten können Asbest enthalten, alte Anstriche Blei: aufhören und prüfen lassen. Böden, die nachgeben, gehören vor die Statik.',
  oldFloor:
    'Alte Böden und der Kleber darunter können Asbest enthalten: vor dem Abschaben, Schleifen oder Bohren prüfen lassen, und aufhören, wenn es so ist.',
  waterproofing: 'Was Wasser aus dem Bau hält, regeln örtliche Vorschriften und zugelassene Betriebe; die Fliesen tun es nicht.',
  drilling:
    'Wo geschraubt wird, können Rohre und Leitungen liegen: vorher mit einem Ortungsgerät suchen, und über, unter und neben Dosen und Ventilen Abstand halten. Alte Wände können Asbest enthalten: vor dem Bohren prüfen lassen.',
  mixing:
    'Zement ätzt: Handschuhe und Augenschutz; ohne Staub mischen. Säcke und große Fliesen sind schwer: zu zweit heben. Lüften, solange Dichtstoff härtet. Das Datenblatt auf dem Sack entscheidet.',
};
