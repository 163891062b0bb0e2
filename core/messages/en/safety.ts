/** What is cautioned about. */
export type Caution = 'cutting' | 'fixtures' | 'levelling' | 'oldFloor' | 'waterproofing' | 'mixing' | 'drilling';

/** Cautions, shown where the act is planned. Local codes, data sheets and licensed trades decide. */
export const SAFETY: Readonly<Record<Caution, string>> = {
  cutting:
    'Cut wet or with extraction and a fitted respirator; the dust harms lungs. Eye and ear protection, guard on, hands off the blade, the saw on a residual-current device.',
  fixtures:
    'Switch off and prove dead before a box is opened or tiled round; where the law asks, a licensed electrician. Water and waste by those licensed for them.',
  levelling:
    'Grinding high spots raises dust that harms lungs: extraction and a fitted respirator. Old floors, adhesives and boards may hold asbestos, old paint lead: stop and have them tested. Floors that give or sag are for those who know structures.',
  oldFloor:
    'Old floors and the glue under them may hold asbestos: before they are scraped, ground or drilled have them tested, and stop where they do.',
  waterproofing: 'What keeps water out of the building is for local code and those licensed for it; the tiles do not.',
  drilling:
    'Pipes and cables may run where a screw goes in: look for them with a detector first, and keep clear of boxes and valves, straight up, down and to the sides. Old walls may hold asbestos: have them tested before they are drilled.',
  mixing:
    'Cement is caustic: gloves and eye protection; mix without raising dust. Bags and large tiles are heavy: lift with two. Air the room while sealant cures. The data sheet on the bag decides.',
};
