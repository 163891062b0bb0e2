/** What each phrase of the site view, the list of cuts and the papers is told with; null where it is told as it is. */
export interface PhraseFigures {
  'site/cut': null;
  'site/lay': null;
  'site/mix': null;
  'site/waits': null;
  'site/mixes': null;
  'site/parts': null;
  'site/surface': null;
  'site/sun': null;
  'site/cellar': null;
  'site/noSurface': null;
  'site/measureOne': null;
  'site/workingOutCuts': null;
  'site/workingOutMixes': null;
  'site/zoneOf': { readonly number: number; readonly of: number };
  'site/zoneHere': { readonly surface: string; readonly number: number };
  'site/mixOfZone': { readonly mix: string };
  'site/left': { readonly left: number; readonly of: number };
  'site/map': null;
  'site/piece': null;
  'site/find': null;
  'site/later': null;
  'site/notTheLast': null;
  'site/not': { readonly label: string };
  'site/nothingCut': null;
  'site/allCut': null;
  'site/allLaid': null;
  'site/whereGoes': { readonly label: string };
  'site/water': { readonly mix: string };
  'site/mixedNow': null;
  'site/done': null;
  'site/doneWith': { readonly wait: string };
  'site/noWait': null;
  'site/startWait': null;
  'site/usualWaits': null;
  'site/keep': null;
  'site/squareCheck': { readonly first: string; readonly second: string; readonly across: string };
  'cuts/faceUp': null;
  'cuts/faceDown': null;
  'cuts/isCut': { readonly label: string };
  'cuts/isLaid': { readonly label: string };
  'cuts/fromTile': { readonly tile: number };
  'cuts/fromSheet': { readonly tile: number };
  'cuts/sheetParts': { readonly count: number };
  'cuts/fromWhatIsThere': null;
  'cuts/allWhole': null;
  'cuts/tilesAreMarked': null;
  'cuts/list': null;
  'cuts/all': null;
  'cuts/stillToCut': null;
  'cuts/backNote': null;
  'cuts/waitingKept': null;
  'cuts/strays': { readonly labels: string; readonly more: boolean };
  'cuts/labelsStay': null;
  'cuts/labelsCounted': null;
  'cuts/keepLabels': null;
  'cuts/countAnew': null;
  'cuts/pieces': { readonly count: number };
  'cuts/dropped': null;
  'cuts/off': { readonly count: number };
  'cuts/cut': null;
  'cuts/laid': null;
  'cuts/someCut': { readonly count: number };
  'cuts/edgeShows': null;
  'cuts/piecesOfThis': null;
  'cuts/allCut': null;
  'cuts/allLaid': null;
  'cuts/notCutYet': null;
  'cuts/notLaidYet': null;
  'cuts/template': null;
  'cuts/hardCome': null;
  'cuts/last': null;
  'cuts/first': null;
  'cuts/sawIs': null;
  'cuts/atHand': null;
  'cuts/farAway': null;
  'cuts/cutWhen': null;
  'cuts/allAtOnce': null;
  'cuts/zoneByZone': null;
  'cuts/perTrip': null;
  'cuts/findByLabel': null;
  'cuts/noneCalled': { readonly label: string; readonly like: string };
  'cuts/betweenChips': null;
  'paper/setout': null;
  'paper/setoutContinued': null;
  'paper/rod': null;
  'paper/rodStrip': { readonly number: number; readonly of: number };
  'paper/legend': null;
  'paper/scale': { readonly of: number };
  'paper/whyHere': null;
  'paper/notKept': null;
  'paper/lines': null;
  'paper/alongEdges': null;
  'paper/fullPieces': null;
  'paper/range': { readonly low: string; readonly high: string };
  'paper/piecesHead': null;
  'paper/pieces': {
    readonly whole: number;
    readonly cut: number;
    readonly opened: number;
    readonly unit: string;
    readonly alone: boolean;
    readonly boxes: number;
  };
  'paper/handOf': { readonly hand: 'left' | 'right' };
  'paper/joint': { readonly width: string };
  'paper/pageOf': { readonly number: number; readonly of: number };
  'paper/cutsFaceUp': null;
  'paper/cutsFaceDown': null;
  'paper/markedFaceUp': null;
  'paper/markedFaceDown': null;
  'paper/tileNumbers': null;
  'paper/dressIt': null;
  'paper/sheets': null;
  'paper/zones': null;
  'paper/zonesContinued': null;
  'paper/zoneMix': { readonly mix: string };
  'paper/colOff': null;
  'paper/colCut': null;
  'paper/colSize': null;
  'paper/colMarks': null;
  'paper/colTool': null;
  'paper/colPieces': null;
  'paper/tileAfter': { readonly tile: number; readonly before: string };
  'paper/labels': null;
  'paper/nothingToLabel': { readonly surface: string };
  'paper/tile': { readonly number: number };
  'paper/templates': null;
  'paper/noTemplate': { readonly surface: string };
  'paper/pagesLeftOut': { readonly count: number };
  'paper/andMore': { readonly count: number };
  'paper/templateOf': { readonly kind: string; readonly wayUp: boolean; readonly sheet: string };
  'paper/templateSheet': {
    readonly page: number;
    readonly of: number;
    readonly row: number;
    readonly column: number;
  };
  'paper/scaleBar': null;
  'paper/order': null;
  'paper/what': null;
  'paper/needed': null;
  'paper/toBuy': null;
  'paper/unit': null;
  'paper/packs': null;
  'paper/pack': null;
  'paper/holds': null;
  'paper/priceIn': { readonly currency: string };
  'paper/costIn': { readonly currency: string };
  'paper/beforeTax': null;
  'paper/oneLot': null;
  'paper/quote': null;
  'paper/standsUntil': { readonly date: string };
  'paper/included': null;
  'paper/excluded': null;
  'paper/usuallyExcluded': null;
  'paper/price': null;
  'paper/discount': { readonly percent: number };
  'paper/tax': { readonly percent: number; readonly base: string };
  'paper/toPay': null;
  'paper/counted': null;
  'paper/everywhere': null;
  'paper/signClient': null;
  'paper/signInstaller': null;
  'paper/mixes': null;
  'paper/nothingMixed': null;
  'paper/handover': null;
  'paper/sheetsDecide': null;
  'paper/snags': null;
  'paper/noSnags': null;
  'paper/wholeJob': null;
  'paper/done': null;
}

/** A phrase by its code. */
export type PhraseCode = keyof PhraseFigures;

/** A phrase that is told as it is. */
export type PlainCode = { [C in PhraseCode]: PhraseFigures[C] extends null ? C : never }[PhraseCode];

/** The phrases of a language: one for each code, or it does not compile. */
export type Phrases = {
  readonly [C in PhraseCode]: PhraseFigures[C] extends null ? string : (figures: PhraseFigures[C]) => string;
};

/** Says a phrase with its figures. */
export type Say = <C extends PhraseCode>(code: C, ...figures: PhraseFigures[C] extends null ? [] : [PhraseFigures[C]]) => string;

/** The say of a language. */
export const sayIn =
  (phrases: Phrases): Say =>
  (code, ...[figures]) => {
    const phrase = phrases[code] as string | ((told: typeof figures) => string);
    return typeof phrase === 'string' ? phrase : phrase(figures);
  };
