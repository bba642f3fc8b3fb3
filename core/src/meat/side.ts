/**
 * A side of beef as our own schematic: muscles where they lie, seen from outside and with
 * the outer layer lifted off, each with the way its fibres run. Drawn, not measured.
 * A frame 1000 wide and 500 high, neck to the left, back uppermost.
 */
export type Point = readonly [x: number, y: number]

export interface PlacedMuscle {
  readonly id: string
  readonly label: string
  readonly layer: 'outer' | 'inner'
  readonly outline: readonly Point[]
  /** Of the fibres, anticlockwise from the length of the animal, degrees. */
  readonly grainDeg: number
  /** What is cut from it, the usual first. */
  readonly cuts: readonly string[]
}

const muscle = (
  layer: PlacedMuscle['layer'],
  id: string,
  label: string,
  grainDeg: number,
  cuts: readonly string[],
  outline: readonly Point[]
): PlacedMuscle => ({ id, label, layer, outline, grainDeg, cuts })

// prettier-ignore
export const SIDE: readonly PlacedMuscle[] = [
  muscle('outer', 'cheek', 'Cheek', 60, ['cheek'], [[14, 150], [52, 132], [78, 160], [70, 205], [36, 222], [14, 196]]),
  muscle('outer', 'neck', 'Neck and chuck', 30, ['chuck'], [[96, 128], [168, 96], [214, 92], [200, 178], [172, 246], [120, 262], [88, 206]]),
  muscle('outer', 'chuck-eye', 'Chuck eye', 4, ['chuck-eye'], [[222, 92], [312, 86], [314, 152], [210, 166]]),
  muscle('outer', 'blade', 'Blade', 62, ['flat-iron', 'blade'], [[212, 176], [262, 168], [276, 240], [244, 272], [204, 232]]),
  muscle('outer', 'mock-tender', 'Mock tender', 64, ['mock-tender'], [[180, 250], [200, 240], [238, 278], [218, 304], [186, 292]]),
  muscle('outer', 'clod', 'Clod heart', 48, ['ranch'], [[226, 308], [248, 280], [284, 250], [322, 290], [316, 346], [246, 350]]),
  muscle('outer', 'rib', 'Rib eye', 3, ['ribeye', 'rib-steak', 'rib-roast'], [[320, 100], [446, 94], [448, 160], [322, 164]]),
  muscle('outer', 'rib-cap', 'Rib cap', 84, ['rib-cap'], [[320, 80], [446, 74], [446, 88], [320, 94]]),
  muscle('outer', 'short-rib', 'Short rib', 78, ['short-rib'], [[322, 172], [448, 168], [452, 272], [332, 282]]),
  muscle('outer', 'plate', 'Plate', 12, ['plate'], [[332, 292], [470, 280], [492, 362], [420, 388], [336, 376]]),
  muscle('outer', 'brisket', 'Brisket', 14, ['brisket'], [[132, 296], [178, 300], [222, 316], [244, 358], [326, 354], [330, 396], [236, 404], [160, 366]]),
  muscle('outer', 'foreshin', 'Shin', 84, ['shin'], [[214, 414], [262, 412], [256, 476], [230, 484]]),
  muscle('outer', 'strip', 'Strip', 2, ['strip', 'strip-roast', 't-bone'], [[454, 74], [612, 84], [610, 158], [456, 160]]),
  muscle('outer', 'rose', 'Rose meat', 20, ['rose'], [[460, 170], [560, 170], [556, 214], [464, 222]]),
  muscle('outer', 'flank', 'Flank', 6, ['flank'], [[476, 276], [612, 258], [622, 300], [600, 326], [500, 354]]),
  muscle('outer', 'rump', 'Rump', 24, ['rump', 'rump-roast'], [[620, 86], [716, 106], [712, 178], [618, 160]]),
  muscle('outer', 'rump-cap', 'Rump cap', 66, ['rump-cap'], [[724, 108], [800, 142], [806, 196], [720, 180]]),
  muscle('outer', 'tri-tip', 'Tri-tip', 40, ['tri-tip'], [[620, 170], [706, 188], [690, 250], [634, 244]]),
  muscle('outer', 'knuckle', 'Knuckle', 66, ['knuckle', 'knuckle-roast'], [[698, 258], [712, 196], [766, 200], [772, 270], [744, 328], [706, 312]]),
  muscle('outer', 'tip-side', 'Knuckle side', 58, ['tip-side'], [[774, 202], [808, 206], [816, 280], [780, 300]]),
  muscle('outer', 'silverside', 'Silverside', 58, ['outside-flat'], [[812, 148], [872, 186], [890, 296], [850, 352], [824, 286], [814, 206]]),
  muscle('outer', 'eye-of-round', 'Eye of round', 74, ['eye-of-round'], [[880, 188], [914, 220], [924, 306], [898, 340], [898, 292]]),
  muscle('outer', 'heel', 'Heel', 76, ['heel'], [[830, 354], [850, 362], [894, 350], [888, 400], [844, 404]]),
  muscle('outer', 'hindshin', 'Shin', 82, ['shin'], [[846, 412], [886, 410], [880, 470], [858, 484]]),
  muscle('outer', 'tail', 'Oxtail', 100, ['oxtail'], [[884, 150], [922, 142], [966, 176], [972, 242], [956, 240], [946, 186], [914, 164]]),

  muscle('inner', 'denver', 'Denver', 34, ['denver'], [[216, 176], [306, 168], [312, 246], [238, 262]]),
  muscle('inner', 'teres-major', 'Shoulder tender', 44, ['teres-major'], [[182, 266], [222, 268], [292, 262], [300, 284], [220, 300], [180, 288]]),
  muscle('inner', 'fillet', 'Fillet', 2, ['fillet', 'chateaubriand', 'whole-fillet'], [[456, 128], [560, 122], [648, 126], [702, 142], [704, 172], [640, 176], [556, 158], [458, 140]]),
  muscle('inner', 'hanger', 'Hanger', 30, ['hanger'], [[452, 176], [508, 170], [520, 208], [468, 222]]),
  muscle('inner', 'skirt', 'Outside skirt', 78, ['skirt'], [[332, 308], [462, 252], [478, 278], [348, 342]]),
  muscle('inner', 'inside-skirt', 'Inside skirt', 84, ['inside-skirt'], [[494, 286], [620, 254], [626, 286], [510, 326]]),
  muscle('inner', 'bavette', 'Bavette', 70, ['bavette'], [[554, 186], [636, 190], [640, 246], [560, 256]]),
  muscle('inner', 'spider', 'Spider', 45, ['spider'], [[716, 146], [758, 140], [776, 172], [746, 194], [716, 182]]),
  muscle('inner', 'topside', 'Topside', 52, ['topside'], [[772, 196], [850, 190], [886, 258], [868, 334], [800, 326], [776, 268]]),
  muscle('inner', 'topside-cap', 'Topside cap', 52, ['topside-cap'], [[858, 188], [884, 204], [908, 266], [882, 336], [876, 334], [894, 258]]),
  muscle('inner', 'pear', 'Pear', 62, ['pear'], [[718, 202], [756, 202], [764, 248], [736, 268], [716, 240]]),
  muscle('inner', 'merlan', 'Merlan', 56, ['merlan'], [[700, 262], [724, 272], [778, 334], [842, 352], [836, 372], [764, 354]])
]
