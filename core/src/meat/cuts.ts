/**
 * The cuts on the counter. Names by region are common practice, no source; shear
 * forces and compositions are rounded from memory of published surveys; shapes are
 * what butchers usually sell.
 */
import type { Composition } from '#core/heat/properties'
import type { Cut, Range, Region, RegionalName } from './cut'

const LEAN: Composition = { water: 0.72, protein: 0.215, fat: 0.055, ash: 0.01 }
const MODERATE: Composition = { water: 0.69, protein: 0.21, fat: 0.09, ash: 0.01 }
const MARBLED: Composition = { water: 0.655, protein: 0.2, fat: 0.135, ash: 0.01 }

const called = (names: Partial<Record<Region, string>>): RegionalName[] =>
  Object.entries(names).map(([region, list]) => ({ region: region as Region, names: list.split(',').map(n => n.trim()) }))

const steak = (thicknessMm: Range, lengthMm: Range, widthMm: Range, weightG: Range, fill = 0.8): Cut['shape'] => ({
  outline: 'steak',
  thicknessMm,
  lengthMm,
  widthMm,
  weightG,
  fill
})

const BRAISE = 'Cook it covered for about 3½ h at a bare simmer and 1 h uncovered, until two forks pull it apart.'

export const CUTS: readonly Cut[] = [
  {
    id: 'strip',
    name: 'Strip steak',
    muscle: 'longissimus lumborum',
    primal: 'loin',
    regional: called({
      UK: 'sirloin steak',
      US: 'strip steak, New York strip, top loin',
      AU: 'porterhouse, sirloin',
      FR: 'faux-filet, contre-filet',
      IT: 'controfiletto, lombata',
      ES: 'lomo bajo, bife de chorizo, bife angosto',
      BR: 'contrafilé',
      DE: 'Roastbeef, Rumpsteak'
    }),
    composition: MODERATE,
    shearKg: 3.7,
    shape: steak([20, 45], [150, 220], [75, 105], [200, 500]),
    suits: ['pan', 'pan and oven', 'coals', 'water bath'],
    because: 'Even thickness, enough fat to baste itself, and a rim that crisps: made for a hot pan.',
    grain: 'runs through the thickness; slice across the long side',
    pitfall: 'The sinew under the fat edge shrinks and cups the steak: snip it every 3 cm.',
    fatEdge: true,
    bone: false,
    braise: null
  },
  {
    id: 'ribeye',
    name: 'Ribeye steak',
    muscle: 'longissimus thoracis with spinalis',
    primal: 'rib',
    regional: called({
      UK: 'rib-eye steak',
      US: 'ribeye steak, rib steak boneless',
      AU: 'scotch fillet, cube roll',
      FR: 'entrecôte',
      IT: 'entrecôte, cuore di costata',
      ES: 'lomo alto, ojo de bife',
      BR: 'filé de costela, ancho',
      DE: 'Entrecôte, Ribeye, Hochrippe'
    }),
    composition: MARBLED,
    shearKg: 3.4,
    shape: steak([22, 50], [130, 190], [100, 140], [250, 600], 0.82),
    suits: ['pan', 'pan and oven', 'coals'],
    because: 'The most fat of the steaks: it wants enough heat for long enough to render the seam.',
    grain: 'through the thickness in the eye, around it in the cap',
    pitfall: 'Served rare, the seam of fat stays waxy: go to medium rare.',
    fatEdge: true,
    bone: false,
    braise: null
  },
  {
    id: 'fillet',
    name: 'Fillet steak',
    muscle: 'psoas major',
    primal: 'loin',
    regional: called({
      UK: 'fillet steak',
      US: 'tenderloin, filet mignon',
      AU: 'eye fillet',
      FR: 'filet, tournedos',
      IT: 'filetto',
      ES: 'solomillo, lomo fino',
      BR: 'filé mignon',
      DE: 'Filet, Lende'
    }),
    composition: LEAN,
    shearKg: 2.9,
    shape: { outline: 'round', thicknessMm: [30, 60], lengthMm: [60, 85], widthMm: [60, 85], weightG: [120, 300], fill: 0.95 },
    suits: ['pan', 'pan and oven', 'coals', 'water bath'],
    because: 'The tenderest muscle and nearly without fat: brown it fast and stop early.',
    grain: 'through the thickness; no need to slice',
    pitfall: 'Tall and narrow, it also takes heat through its side: probe early.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'rump',
    name: 'Rump steak',
    muscle: 'gluteus medius',
    primal: 'rump',
    regional: called({
      UK: 'rump steak, D-rump',
      US: 'top sirloin, top sirloin steak',
      AU: 'rump steak',
      FR: 'rumsteck, pavé',
      IT: 'scamone',
      ES: 'cadera, cuadril',
      BR: 'alcatra',
      DE: 'Hüftsteak, Hüfte'
    }),
    composition: LEAN,
    shearKg: 4.2,
    shape: steak([20, 45], [120, 200], [80, 130], [180, 600]),
    suits: ['pan', 'coals', 'water bath'],
    because: 'Full flavour and some chew: hot, quick and sliced across.',
    grain: 'fans out; turn the knife as you slice',
    pitfall: 'Cooked past medium it turns dry and firm.',
    fatEdge: true,
    bone: false,
    braise: null
  },
  {
    id: 'rump-cap',
    name: 'Rump cap',
    muscle: 'biceps femoris, sirloin cap',
    primal: 'rump',
    regional: called({
      UK: 'rump cap, cap of rump',
      US: 'top sirloin cap, coulotte, culotte',
      AU: 'rump cap',
      FR: 'aiguillette de rumsteck',
      IT: 'copertina di scamone, punta di sottofesa',
      ES: 'tapa de cuadril, tapilla, punta de anca',
      BR: 'picanha',
      DE: 'Tafelspitz, Hüftdeckel'
    }),
    composition: MODERATE,
    shearKg: 3.8,
    shape: steak([25, 50], [90, 160], [60, 110], [150, 400]),
    suits: ['pan and oven', 'coals', 'water bath', 'pan'],
    because: 'Its fat cap bastes it: render that side first, gently, then sear.',
    grain: 'along the length; portion with the grain so that slices go across it',
    pitfall: 'Portioned across the grain, every slice at the table is a long fibre.',
    fatEdge: true,
    bone: false,
    braise: null
  },
  {
    id: 'tri-tip',
    name: 'Tri-tip',
    muscle: 'tensor fasciae latae',
    primal: 'bottom sirloin',
    regional: called({
      UK: 'rump tail',
      US: 'tri-tip, triangle steak',
      AU: 'tri-tip',
      FR: 'aiguillette baronne',
      IT: 'spinacino',
      ES: 'punta de solomo, colita de cuadril',
      BR: 'maminha',
      DE: 'Bürgermeisterstück, Pastorenstück'
    }),
    composition: MODERATE,
    shearKg: 3.8,
    shape: steak([25, 50], [150, 280], [90, 140], [250, 1200], 0.6),
    suits: ['coals', 'oven', 'pan and oven'],
    because: 'A wedge: its thin tail is done before its thick end, which suits a table that disagrees.',
    grain: 'turns half-way along; turn the board there',
    pitfall: 'Sliced in one direction, half of it is along the grain.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'flat-iron',
    name: 'Flat iron',
    muscle: 'infraspinatus, seam removed',
    primal: 'chuck',
    regional: called({
      UK: 'flat iron, butlers’ steak',
      US: 'flat iron, top blade',
      AU: 'oyster blade, flat iron',
      FR: 'paleron',
      IT: 'cappello del prete',
      ES: 'marucha, llana',
      BR: 'raquete',
      DE: 'Schaufelstück, Flacheisen'
    }),
    composition: MARBLED,
    shearKg: 3.1,
    shape: steak([18, 32], [120, 220], [70, 110], [150, 350]),
    suits: ['pan', 'coals', 'water bath'],
    because: 'The second tenderest muscle, thin and even: a hot pan and a few minutes.',
    grain: 'across the short side',
    pitfall: 'Sold as whole blade it has a sinew through the middle: ask for it taken out.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'hanger',
    name: 'Hanger steak',
    muscle: 'crus of the diaphragm',
    primal: 'plate',
    regional: called({
      UK: 'onglet, hanger',
      US: 'hanger steak, hanging tender',
      AU: 'hanger, thick skirt',
      FR: 'onglet',
      IT: 'lombatello, diaframma',
      ES: 'solomillo de pulmón, entraña gruesa',
      BR: 'lombinho',
      DE: 'Nierenzapfen, Onglet'
    }),
    composition: MODERATE,
    shearKg: 3.6,
    shape: steak([18, 40], [120, 250], [45, 80], [150, 400], 0.75),
    suits: ['pan', 'coals'],
    because: 'Loose-grained and strong in flavour: very hot, turned often, never past medium.',
    grain: 'coarse and slanting across; slice thin against it',
    pitfall: 'The sinew down the middle does not cook away: have it taken out.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'skirt',
    name: 'Skirt steak',
    muscle: 'costal diaphragm',
    primal: 'plate',
    regional: called({
      UK: 'skirt',
      US: 'outside skirt, fajita meat',
      AU: 'skirt',
      FR: 'hampe',
      IT: 'diaframma',
      ES: 'entraña, arrachera',
      BR: 'fraldinha fina, entranha',
      DE: 'Saumfleisch, Kronfleisch'
    }),
    composition: MARBLED,
    shearKg: 3.9,
    shape: steak([10, 20], [200, 400], [70, 120], [200, 500], 0.85),
    suits: ['pan', 'coals'],
    because: 'Thin: the hottest metal there is, a minute or two a side.',
    grain: 'coarse, across the short side; cut it in lengths, then slice across',
    pitfall: 'Wet or crowded it boils grey before it browns.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'bavette',
    name: 'Bavette',
    muscle: 'obliquus internus abdominis',
    primal: 'flank',
    regional: called({
      UK: 'bavette, flank skirt',
      US: 'sirloin flap, flap meat',
      AU: 'flap, bavette',
      FR: 'bavette d’aloyau',
      IT: 'bavetta, fiocco di scamone',
      ES: 'vacío, bife de vacío',
      BR: 'fraldinha',
      DE: 'Bavette, Bauchlappen'
    }),
    composition: MODERATE,
    shearKg: 4.1,
    shape: steak([18, 35], [150, 300], [90, 160], [250, 700]),
    suits: ['pan', 'coals', 'water bath'],
    because: 'Open grain that takes salt and smoke: hot, quick, rare, sliced thin.',
    grain: 'long and plain to see, across the width',
    pitfall: 'Sliced with the grain it chews like rope.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'flank',
    name: 'Flank steak',
    muscle: 'rectus abdominis',
    primal: 'flank',
    regional: called({
      UK: 'flank steak',
      US: 'flank steak, London broil',
      AU: 'flank steak',
      FR: 'bavette de flanchet',
      IT: 'bavetta, pancia',
      ES: 'falda, sobrebarriga',
      BR: 'bife do vazio',
      DE: 'Dünnung, Flanksteak'
    }),
    composition: LEAN,
    shearKg: 4.5,
    shape: steak([15, 30], [200, 350], [120, 180], [400, 1000], 0.85),
    suits: ['pan', 'coals', 'water bath'],
    because: 'Lean, with long fibres: rare to medium rare, and the knife does the rest.',
    grain: 'lengthways; slice thin across, at a slant',
    pitfall: 'Longer than most pans: halve it across.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'denver',
    name: 'Denver steak',
    muscle: 'serratus ventralis',
    primal: 'chuck',
    regional: called({
      UK: 'Denver, under blade',
      US: 'Denver steak, chuck under blade',
      AU: 'Denver, chuck eye',
      FR: 'basse côte',
      IT: 'sottospalla',
      ES: 'aguja',
      BR: 'denver, acém',
      DE: 'Zungenstück, Denver Cut'
    }),
    composition: MARBLED,
    shearKg: 3.5,
    shape: steak([20, 35], [100, 170], [60, 100], [150, 350]),
    suits: ['pan', 'coals', 'water bath'],
    because: 'Well marbled for its price: treat it as a small ribeye.',
    grain: 'slanting through; slice across',
    pitfall: 'Cut by the wrong plane it is a braising steak: see that the fibres end on the face.',
    fatEdge: false,
    bone: false,
    braise: null
  },
  {
    id: 'shin',
    name: 'Shin',
    muscle: 'flexors and extensors of the leg',
    primal: 'shank',
    regional: called({
      UK: 'shin, leg of beef',
      US: 'shank, cross-cut shank',
      AU: 'shin, gravy beef',
      FR: 'jarret, gîte',
      IT: 'muscolo, ossobuco di manzo',
      ES: 'morcillo, jarrete, osobuco',
      BR: 'músculo, ossobuco',
      DE: 'Beinscheibe, Wade, Hesse'
    }),
    composition: LEAN,
    shearKg: 8.5,
    shape: steak([25, 60], [90, 160], [80, 120], [200, 900]),
    suits: ['braise'],
    because: 'Wrapped in connective tissue that only hours of moist heat turn to jelly.',
    grain: 'lengthways down the leg',
    pitfall: 'Seared and served it is leather.',
    fatEdge: false,
    bone: true,
    braise: `Shin is full of connective tissue; no pan or grill makes it tender. ${BRAISE}`
  },
  {
    id: 'cheek',
    name: 'Cheek',
    muscle: 'masseter',
    primal: 'head',
    regional: called({
      UK: 'ox cheek, beef cheek',
      US: 'beef cheek',
      AU: 'beef cheek',
      FR: 'joue de bœuf',
      IT: 'guancia',
      ES: 'carrillera, carrillada, cachete',
      BR: 'bochecha',
      DE: 'Rinderbacke, Bäckchen'
    }),
    composition: LEAN,
    shearKg: 9,
    shape: steak([35, 60], [100, 160], [80, 120], [250, 650]),
    suits: ['braise'],
    because: 'The hardest-working muscle of the animal: silverskin and collagen through and through.',
    grain: 'in all directions',
    pitfall: 'Silverskin left on tightens in the pot: trim it off.',
    fatEdge: false,
    bone: false,
    braise: `Cheek is collagen through and through; it must be braised. ${BRAISE}`
  },
  {
    id: 'brisket',
    name: 'Brisket',
    muscle: 'pectoralis profundus and superficialis',
    primal: 'brisket',
    regional: called({
      UK: 'brisket',
      US: 'brisket flat, brisket point',
      AU: 'brisket',
      FR: 'poitrine',
      IT: 'punta di petto',
      ES: 'pecho, tapa de pecho',
      BR: 'peito',
      DE: 'Brust, Brustspitze'
    }),
    composition: MODERATE,
    shearKg: 7,
    shape: steak([40, 90], [250, 450], [150, 250], [1500, 6000]),
    suits: ['braise'],
    because: 'Coarse and sinewy: hours, not minutes.',
    grain: 'lengthways; the two muscles run crosswise to each other',
    pitfall: 'Cooked to a steak’s doneness it cannot be chewed.',
    fatEdge: true,
    bone: false,
    braise: `Brisket cannot be made tender at a steak’s doneness. ${BRAISE}`
  }
]

export const cutById = (id: string): Cut | undefined => CUTS.find(c => c.id === id)
