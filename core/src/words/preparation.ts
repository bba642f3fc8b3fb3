/** Getting a piece ready, as a checklist dated back from the moment it goes in, each task with its reason. */
import type { Cut, Feature } from '#core/meat/cut'
import type { Piece } from '#core/meat/piece'
import type { MethodKind } from '#core/method/methods'
import type { Preparation } from '#core/plan/preparation'

export interface Task {
  readonly id: string
  /** Before the piece goes in, s. */
  readonly before: number
  readonly text: string
  readonly because: string
}

const MINUTE = 60
const HOUR = 3600

const BAGGED_BEFORE: Task = {
  id: 'bag',
  before: 10 * 60,
  text: 'Leave it in its bag; where it has none, bag it and press the air out',
  because: 'It is warmed as it was kept: nothing gets at it, and nothing is lost.'
}
const BAGGED: Task = {
  id: 'bag',
  before: 10 * MINUTE,
  text: 'Bag it in one layer, press the air out and seal it',
  because: 'Air keeps the heat from it, and makes the bag float.'
}

/** What a method asks for by itself before the piece goes in; common practice, no source. */
const OWN: Partial<Record<MethodKind, readonly Task[]>> = {
  'in pastry': [
    {
      id: 'seal',
      before: 90 * MINUTE,
      text: 'Sear it on all sides and both ends in a very hot pan',
      because: 'Colour and taste now: inside the pastry nothing browns.'
    },
    {
      id: 'rack',
      before: 80 * MINUTE,
      text: 'Cool it on a rack, then in the fridge until it is cold',
      because: 'Warm, it would melt the pastry and go on cooking; from a rack the drops run off.'
    },
    {
      id: 'paste',
      before: 45 * MINUTE,
      text: 'Spread the mushroom paste, cooked dry and cold, and roll the fillet in it',
      because: 'Wet paste soaks the pastry.'
    },
    {
      id: 'wrap',
      before: 35 * MINUTE,
      text: 'Wrap it in cold pastry, the seam below, and chill it',
      because: 'Cold pastry keeps its shape and its layers.'
    },
    {
      id: 'wash',
      before: 5 * MINUTE,
      text: 'Brush it with egg and score it lightly',
      because: 'Egg browns and shines; brushed on early it soaks in.'
    }
  ],
  // Where the sear comes first it is bagged when it has been.
  'bath then sear': [BAGGED]
}
/** Where the knife has something to do. */
const KNIFE_WORK: Partial<Record<Feature['kind'], string>> = {
  'fat cap': 'Score the fat cap',
  'sinew strip': 'See to the sinew',
  silverskin: 'Trim the silverskin',
  head: 'Cut off the head'
}
/** Hours in it; common practice, no source. */
const MARINADE_HOURS: Record<Preparation['marinade'], number> = { none: 0, 'two hours': 2, overnight: 14 }
/** Out of it and drained, before it is patted and salted, s. */
const DRAINED = 15 * MINUTE

/** So long before it goes in it has to be ready: to be seared ahead, or shut up in its bag, s. */
const READY_BEFORE: Partial<Record<MethodKind, number>> = {
  'in pastry': 90 * MINUTE,
  'bath then sear': 10 * MINUTE
}

/**
 * First things first.
 * @param thawS in the fridge, where it comes from the freezer, s; null while it is not known
 * @param extras whether it gets a crust of cheese at its end, or one of paste before it goes in
 */
export function checklistFor(
  preparation: Preparation,
  cut: Cut,
  piece: Piece,
  kind: MethodKind = 'pan sear',
  thawS: number | null = null,
  { cheese = false, crust = false }: { readonly cheese?: boolean; readonly crust?: boolean } = {}
): Task[] {
  const cooked = piece.cookedC !== undefined
  const own = (OWN[kind] ?? []).map(task => (task === BAGGED && cooked ? BAGGED_BEFORE : task))
  const tasks: Task[] = [...own]
  const ready = READY_BEFORE[kind] ?? 0
  const add = (id: string, before: number, text: string, because: string): void =>
    void tasks.push({ id, before: before + ready, text, because })
  const { surface, salt, pepper, oil, outMin, knife, tie, marinade } = preparation
  const dayAhead = surface === 'aired' || salt === 'the day before'
  // What is salted, dried or laid in is trimmed by then.
  const inHand = (Math.max(outMin, MARINADE_HOURS[marinade] > 0 ? DRAINED / MINUTE : 0) + 50) * MINUTE + MARINADE_HOURS[marinade] * HOUR
  const knifeAt = dayAhead ? Math.max(24 * HOUR + 10 * MINUTE, inHand) : inHand

  if (surface === 'aired')
    add(
      'unwrap',
      24 * HOUR,
      'Unwrap and dry; lay it on a rack in the fridge, open',
      'Moving cold air dries the faces, so they brown at once.'
    )
  // Cooked before, its knife work is long done.
  if (knife && !cooked) {
    for (const f of cut.features) {
      const what = KNIFE_WORK[f.kind]
      if (what) add(`knife ${f.kind}`, knifeAt, `${what} (${f.where})`, f.advice)
    }
  }
  if (tie && !cooked) add('tie', knifeAt - 5 * MINUTE, 'Tie it every 3 cm', 'Round and even, it is done everywhere at once.')
  const marinated = MARINADE_HOURS[marinade] * HOUR
  if (marinated > 0 && !cooked) {
    const out = Math.max(outMin * MINUTE, DRAINED)
    add(
      'marinade',
      out + marinated,
      'Into its marinade, covered, in the fridge; turn it once on the way',
      'It goes in a few millimetres and no deeper: what it gives, it gives to the outside.'
    )
    add(
      'out of marinade',
      out,
      'Lift it out of its marinade and let it drain',
      'What clings boils before anything browns, and what is sweet in it burns. It touched raw meat: boil it for a sauce, or throw it away.'
    )
  }
  if (crust) add('crust', 8 * MINUTE, 'Spread the crust over it, all but the underside', 'Pressed on, it stays where it is.')
  if (salt === 'the day before') {
    add(
      'salt',
      24 * HOUR,
      'Salt it on all sides, about 1 % of its weight',
      'A day is long enough for the salt to go in and its brine to be drawn back; the outside dries meanwhile.'
    )
  }
  if (salt === '40 min before') {
    add(
      'salt',
      40 * MINUTE,
      'Salt it on all sides',
      'Salt draws water first and lets it back after half an hour: in between, the faces are at their wettest.'
    )
    // Starch goes on over a dry face: that task says so itself.
    if (surface !== 'starched')
      add('pat after salt', 3 * MINUTE, 'Pat off what the salt drew', 'Drawn water must boil away before anything browns.')
  }
  if (cheese)
    add(
      'cheese',
      HOUR,
      'Rub cheese, crumbs and soft butter together, roll it thin between papers and chill it',
      'Thin and cold it stays where it is laid, and melts all at once.'
    )
  if (outMin > 0 && marinated === 0)
    add(
      'out',
      outMin * MINUTE,
      'Take it out of the fridge',
      'A little warmer at the start is a little sooner done: see what it is worth below.'
    )
  if ((surface === 'patted' || (marinated > 0 && surface !== 'starched')) && salt !== '40 min before')
    add('pat', 5 * MINUTE, 'Pat every face dry, hard', 'A wet face boils before it browns.')
  if (surface === 'starched')
    add('starch', 4 * MINUTE, 'Pat dry, then dust thinly with plain starch', 'Starch takes up the last film of water and browns by itself.')
  if (oil === 'on the meat') add('oil', 2 * MINUTE, 'Rub it thinly with oil', 'The oil is where it is needed, and the pan smokes less.')
  if (salt === 'right before') add('salt', MINUTE, 'Salt it', 'So late it has no time to draw water.')
  if (pepper === 'before')
    add('pepper', MINUTE, 'Press in crushed pepper, its dust sieved off', 'The dust burns first; coarse pieces make a crust.')
  if (oil === 'in the pan') add('oil', 0.5 * MINUTE, 'A film of oil in the hot pan', 'It bridges the gaps between metal and meat.')
  if (piece.intact === 'unknown')
    add(
      'ask',
      knifeAt + HOUR,
      'Find out whether it was needled',
      'Needles carry what is outside to the inside: then the middle must be cooked through.'
    )
  const first = Math.max(0, ...tasks.map(t => t.before))
  return [...fetched(preparation.from, first, thawS), ...tasks.sort((a, b) => b.before - a.before)]
}

/** On another day, before anything is done to it. @param first of its tasks, s before it goes in */
function fetched(from: Preparation['from'], first: number, thawS: number | null): Task[] {
  switch (from) {
    case 'fridge':
      return []
    case 'butcher':
      return [
        {
          id: 'buy',
          before: Math.max(DAY, first + 4 * HOUR),
          text: 'Fetch it from the butcher, and into the fridge',
          because: 'A day before there is time for another, should it not be as it was ordered.'
        }
      ]
    case 'freezer':
      return thawS === null
        ? []
        : [
            {
              id: 'thaw',
              before: Math.ceil((first + thawS + MARGIN) / HOUR) * HOUR,
              text: 'Out of the freezer into the fridge to thaw, wrapped, in a dish',
              because: 'In the fridge it stays cold all the while; on the table its outside would be warm for hours.'
            }
          ]
  }
}
const DAY = 24 * HOUR
/** Fridges differ. */
const MARGIN = 2 * HOUR

/** What follows the fire. */
export function afterwards({ salt, pepper }: Preparation): string[] {
  return [
    ...(salt === 'after' ? ['Salt the cut faces as you carve'] : []),
    ...(pepper === 'after' ? ['Pepper at the table, so that it does not burn'] : [])
  ]
}
