/**
 * A pot without a machine: boiling and cold water mixed, off the heat, falling as it
 * stands, topped up from the kettle or not. The sear comes first. The free quantity is
 * the time in the pot.
 */
import type { Room } from '#core/kit/air'
import type { LumpChange } from '#core/heat/lump'
import { boilingPoint } from '#core/heat/vapour'
import { inPot, LITRE_HEAT, mixed, potLump, type Pot } from '#core/kit/bath'
import type { Method, PlannedStage, Resting } from './method'
import { searLump, searStages, stageIn, thenRest, type Searing } from './parts'
import { subjectOf, type Setup } from './setup'

export interface TopUp {
  /** s after the piece went in. */
  readonly at: number
  /** Boiling water poured in, litres. */
  readonly litres: number
}

export interface InPot extends Searing, Resting {
  readonly pot: Pot
  /** Parts of boiling and of cold water, and the cold water's temperature. */
  readonly boilingParts: number
  readonly coldParts: number
  readonly coldC: number
  readonly lid: boolean
  readonly topUps: readonly TopUp[]
}

/** After the pan. */
const POT = 1

/** Poured together in the pot, °C; the pot's own metal starts as warm as the room. */
export function waterAtStart({
  settings,
  room
}: {
  readonly settings: Pick<InPot, 'pot' | 'boilingParts' | 'coldParts' | 'coldC'>
  readonly room: Room
}): number {
  const { pot, boilingParts, coldParts, coldC } = settings
  const water = mixed([
    { litres: boilingParts, celsius: boilingPoint(room.altitudeM) },
    { litres: coldParts, celsius: coldC }
  ])
  return mixed([
    { litres: pot.litres, celsius: water },
    { litres: pot.metalHeat / LITRE_HEAT, celsius: room.temperatureC }
  ])
}

export const potBath: Method<InPot> = {
  kind: 'pot',
  free: 'time in the pot',
  subject: (setup, fineness) =>
    subjectOf(setup, fineness, [searLump(setup), potLump(setup.settings.pot, waterAtStart(setup), setup.settings.lid, setup.room)]),
  program: (setup, free) => thenRest(setup, [...searStages(setup), ...potStages(setup, free)]),
  bounds: () => [60, 8 * 3600],
  guess: setup => 1.2 * setup.piece.thicknessMm ** 2,
  goal: (_, target) => target,
  unsuited: setup => {
    const meat = (setup.piece.weightG / 1000) * setup.piece.count
    const most = setup.settings.pot.litres / 4
    return meat > most
      ? `${Math.round(meat * 1000)} g would cool ${setup.settings.pot.litres} litres too far: at most ${Math.round(most * 1000)} g in this pot.`
      : null
  }
}

function potStages(setup: Setup<InPot>, seconds: number): PlannedStage[] {
  const { settings, constants, room } = setup
  const poured = settings.topUps.filter(t => t.at < seconds).sort((a, b) => a.at - b.at)
  const starts = [0, ...poured.map(t => t.at)]
  const ends = [...poured.map(t => t.at), seconds]
  return starts.map((start, i) => {
    const changes: LumpChange[] =
      i === 0
        ? [{ lump: POT, kind: 'brought to', temperature: waterAtStart(setup) }]
        : [{ lump: POT, kind: 'poured in', heatCapacity: poured[i - 1].litres * LITRE_HEAT, temperature: boilingPoint(room.altitudeM) }]
    const name = settings.lid ? 'bagged, in the pot under its lid' : 'bagged, in the open pot'
    return { ...stageIn('pot', name, ends[i] - start, inPot(POT, constants)), changes }
  })
}
