/**
 * One face of the piece: its temperature, the film of free water on it, and the
 * balance there between what comes from outside, what evaporates and what goes in.
 */
import { AirExchange, type AirFace, type Face, type FixedFace, type LiquidFace, type MetalFace } from './faces'
import { BOILING_LATENT_HEAT, latentHeat, waterActivity, waterActivitySlope } from './vapour'

/** Something that lies along a part of a face: heat goes through it, no water does, and what it holds itself is little. */
export interface Cover {
  /** Of the face. */
  readonly share: number
  /** Through it, W/(m²·K). */
  readonly conductance: number
}

/** The outermost cell as its face sees it; scratch, filled anew for each balance. */
export interface OuterCell {
  temperature: number
  /** From the middle of the cell to the face, W/(m²·K). */
  conductance: number
  /** False for a substance without water. */
  wet: boolean
  /** Share of the raw water it will have at the end of the step if nothing evaporates from it… */
  share: number
  /** …and how much less for each kg/m² and second that does. */
  sharePerDrawn: number
  /** Most that can be drawn, kg/m² each second. */
  mostDrawn: number
  /** What it presses out onto the face during the step, kg/m² each second. */
  juice: number
}

const MOST_ITERATIONS = 60
const MOST_DRAWS = 40
const SETTLED_KELVIN = 0.02
/** Steps that are cut before one is tried whole again: what runs dry now mostly does so in the next. */
const CUT_BEFORE_TRIED = 6

export class Surface {
  /** All of these are results of `meet`. */
  temperature: number
  /** W/m² into the outermost cell, and its slope by that cell's temperature. */
  into = 0
  intoSlope = 0
  /** W/m² from outside, before evaporation. */
  heat = 0
  /** W/m² of it that comes from a lump, and W/(m²·K) by which that goes with the lump's temperature. */
  fromLump = 0
  lumpSlope = 0
  /** W/m² taken by evaporation here. */
  latent = 0
  /** kg/m² each second, leaving the film and leaving the cell. */
  fromFilm = 0
  fromCell = 0

  /** How long the step was that took too much, s, and how many are still cut for it. */
  private driedIn = 0
  private cutsLeft = 0

  /** Whether the balance closed. */
  settled = true

  /** The cell's temperature at the last balance. */
  private metAt: number
  /** What the cell itself gave then, kg/m² each second: where the search for it starts. */
  private lastDrawn = 0
  /** K by which the face goes with each kelvin of the cell. */
  private following = 0
  private heatSlope = 0
  private latentSlope = 0
  private drawn = true
  private readonly air = new AirExchange()
  private readonly outside = new AirExchange()
  private readonly bareCell: OuterCell = { temperature: 0, conductance: 0, wet: true, share: 0, sharePerDrawn: 0, mostDrawn: 0, juice: 0 }
  /** Outside of the cover, where there is one. */
  private coverTemperature: number

  constructor(
    temperature: number,
    /** kg/m² */
    public film: number,
    private readonly boiling: number,
    private readonly cover: Cover | null = null
  ) {
    this.temperature = this.coverTemperature = this.metAt = temperature
  }

  /** A step took more water here than there was: others as long are cut without being tried, for a while. */
  ranDry(dt: number): void {
    this.driedIn = dt
    this.cutsLeft = CUT_BEFORE_TRIED
  }

  tooLong(dt: number): boolean {
    if (this.cutsLeft === 0 || dt < this.driedIn) return false
    this.cutsLeft -= 1
    return true
  }

  /**
   * Finds the surface temperature at which heat in, heat out and evaporation
   * balance: Newton inside a bracket, since the balance is curved but monotone.
   *
   * @param lumpC temperature of the lump this face touches, where it touches one
   */
  meet(face: Face, cell: OuterCell, dt: number, lumpC: number): void {
    this.settled = true
    if (face.kind === 'closed') {
      this.temperature = this.metAt = cell.temperature
      this.into = this.intoSlope = this.heat = this.fromLump = this.lumpSlope = this.latent = this.fromFilm = this.fromCell = 0
      return
    }
    const g = cell.conductance
    // Where the cell has gone the face follows, nearly as the last balance was straight.
    this.temperature += (cell.temperature - this.metAt) * this.following
    this.metAt = cell.temperature
    if (face.kind === 'metal' && this.cover === null) {
      this.temperature = this.onMetal(face.contact, cell, dt, lumpC)
      this.exchangeAt(face, cell, dt, lumpC)
      this.finish(g)
      return
    }
    let low = -Infinity
    let high = Infinity
    let closed = false
    for (let i = 0; i < MOST_ITERATIONS; i++) {
      this.exchangeAt(face, cell, dt, lumpC)
      const balance = g * (this.temperature - cell.temperature) - this.heat + this.latent
      if (balance > 0) high = this.temperature
      else low = this.temperature
      const change = -balance / (g - this.heatSlope + this.latentSlope)
      const next = this.temperature + change
      if (Math.abs(change) < SETTLED_KELVIN) {
        this.temperature = next
        this.heat += this.heatSlope * change
        this.latent += this.latentSlope * change
        closed = true
        break
      }
      this.temperature = (next <= low || next >= high) && high - low < Infinity ? (low + high) / 2 : next
    }
    // The last draw counts, not those on the way to it.
    this.settled = closed && this.drawn
    this.finish(g)
  }

  private finish(g: number): void {
    const outward = this.latentSlope - this.heatSlope
    // What evaporates and what comes in are both taken as they are: the rest goes into the cell.
    this.into = this.heat - this.latent
    this.following = g / (g + outward)
    this.intoSlope = -outward * this.following
  }

  private exchangeAt(face: Face, cell: OuterCell, dt: number, lumpC: number): void {
    this.drawn = true
    this.heat = this.heatSlope = this.latent = this.latentSlope = this.fromFilm = this.fromCell = this.fromLump = this.lumpSlope = 0
    const bare = 1 - (this.cover?.share ?? 0)
    switch (face.kind) {
      case 'fixed':
      case 'metal':
      case 'liquid':
        this.touch(face, 1, lumpC)
        if (face.kind === 'metal') this.boilFilm(cell, dt)
        break
      case 'air':
        if (this.cover) this.meetAirThrough(face, this.cover, 1)
        this.meetAir(face, bare, this.bared(cell), dt)
        break
      case 'partly':
        this.touch(face.touching, face.share, lumpC)
        if (this.cover) this.meetAirThrough(face.open, this.cover, 1 - face.share)
        this.meetAir(face.open, bare * (1 - face.share), this.bared(cell), dt)
        break
      case 'closed':
        break
    }
  }

  /** What lies under the cover keeps its water: the bare part is the drier for it. */
  private bared(cell: OuterCell): OuterCell {
    const { cover, bareCell } = this
    if (!cover) return cell
    const bare = 1 - cover.share
    Object.assign(bareCell, cell)
    bareCell.share = Math.max(0, (cell.share - cover.share) / bare)
    bareCell.sharePerDrawn = cell.sharePerDrawn / bare
    bareCell.mostDrawn = Math.min(cell.mostDrawn, bareCell.share / bareCell.sharePerDrawn)
    return bareCell
  }

  /** Air over the cover: its outside is where what comes from the air and what goes through it are the same. */
  private meetAirThrough(face: AirFace, { share, conductance }: Cover, part: number): void {
    const { outside } = this
    outside.at(face, this.coverTemperature)
    const at =
      (conductance * this.temperature + outside.heat - outside.heatSlope * this.coverTemperature) / (conductance - outside.heatSlope)
    this.coverTemperature = at
    this.heat += part * share * conductance * (at - this.temperature)
    this.heatSlope += (part * share * conductance * outside.heatSlope) / (conductance - outside.heatSlope)
  }

  /** On metal the balance is straight on either side of the degree in which caught water boils, and within it. */
  private onMetal(contact: number, cell: OuterCell, dt: number, lumpC: number): number {
    const g = cell.conductance
    const cellC = cell.temperature
    const dry = (g * cellC + contact * lumpC) / (g + contact)
    const boil = this.loose(cell, dt) * BOILING_LATENT_HEAT
    if (boil <= 0 || dry <= this.boiling) return dry
    const allBoils = dry - boil / (g + contact)
    if (allBoils >= this.boiling + 1) return allBoils
    return (g * cellC + contact * lumpC + boil * this.boiling) / (g + contact + boil)
  }

  /** Free water that a step can take from the face, kg/m² each second: what lies there and what comes. */
  private loose(cell: OuterCell, dt: number): number {
    return Math.max(0, this.film / dt + cell.juice)
  }

  /** Where a cover lies between, it is met through that. */
  private touch(face: MetalFace | FixedFace | LiquidFace, share: number, lumpC: number): void {
    const plain = face.kind === 'metal' ? face.contact : face.conductance
    const { cover } = this
    const conductance = share * (cover ? (1 - cover.share) * plain + cover.share / (1 / plain + 1 / cover.conductance) : plain)
    this.addConduction(conductance, face.kind === 'fixed' ? face.at : lumpC)
    if (face.kind === 'fixed') return
    this.fromLump = this.heat
    this.lumpSlope = conductance
  }

  private addConduction(conductance: number, from: number): void {
    this.heat += conductance * (from - this.temperature)
    this.heatSlope -= conductance
  }

  /** Water caught between meat and metal boils away within a degree of the boiling point. */
  private boilFilm(cell: OuterCell, dt: number): void {
    const most = this.loose(cell, dt)
    const above = this.temperature - this.boiling
    if (most <= 0 || above <= 0) return
    this.fromFilm = most * Math.min(1, above)
    this.latent = this.fromFilm * BOILING_LATENT_HEAT
    this.latentSlope = above < 1 ? most * BOILING_LATENT_HEAT : 0
  }

  /** Into air: from the film first, as from open water; then from the meat, as its water activity allows. */
  private meetAir(face: AirFace, share: number, cell: OuterCell, dt: number): void {
    const { air } = this
    air.at(face, this.temperature)
    this.heat += share * air.heat
    this.heatSlope += share * air.heatSlope
    if (!cell.wet) return
    const latent = latentHeat(this.temperature)
    const wet = share * air.wet
    const film = this.loose(cell, dt)
    if (wet <= film) {
      this.fromFilm = wet
      this.latent = wet * latent
      this.latentSlope = share * air.wetSlope * latent
      return
    }
    const open = share * (1 - film / wet)
    this.fromFilm = film
    this.draw(cell, open, (share * share * film) / (wet * wet))
    this.latent = (film + this.fromCell) * latent
    this.latentSlope *= latent * air.wetSlope
  }

  /**
   * What leaves the cell itself hangs on how wet the drawing leaves it: solved together,
   * so that a long step cannot take more than is supplied from within.
   * @param open part of the face that has no film
   * @param opening how that grows with what a wet face would lose, m²·s/kg
   */
  private draw(cell: OuterCell, open: number, opening: number): void {
    const { air } = this
    const saturated = air.wet + air.returning
    const most = Math.min(cell.mostDrawn, open * Math.max(0, saturated * waterActivity(cell.share) - air.returning))
    let drawn = this.lastDrawn > 0 ? Math.min(most, this.lastDrawn) : most
    let low = 0
    let high = most
    let tooMuch = Infinity
    let activity = 0
    let activitySlope = 0
    this.drawn = false
    for (let i = 0; i < MOST_DRAWS; i++) {
      const share = Math.max(0, cell.share - cell.sharePerDrawn * drawn)
      activity = waterActivity(share)
      activitySlope = waterActivitySlope(share)
      const off = drawn - open * (saturated * activity - air.returning)
      if (off > 0) high = tooMuch = drawn
      else low = drawn
      // Balanced, or as far as it may go: nothing is drawn that is not there, and none is given back.
      const held = off > 0 ? drawn <= 0 : drawn >= most
      if (held || Math.abs(off) < 1e-3 * drawn + 1e-12) {
        this.drawn = true
        break
      }
      const next = drawn - off / (1 + open * saturated * activitySlope * cell.sharePerDrawn)
      // All that may be drawn is tried before it is halved.
      drawn = next > low && next < high ? next : next >= high && tooMuch > high ? high : (low + high) / 2
    }
    this.fromCell = this.lastDrawn = drawn
    const held = drawn >= cell.mostDrawn || drawn <= 0
    const rising = open * activity + opening * (saturated * activity - air.returning)
    this.latentSlope = held ? 0 : rising / (1 + open * saturated * activitySlope * cell.sharePerDrawn)
  }
}
