/** What a film can do, as ratios: 0.03 = 3 %. */
export interface FilmHandling {
  /** Compression it takes up without a finger. */
  readonly take: number
  /** Stretch that a hand reaches without heat. */
  readonly coldStretch: number
  /** Most it can be stretched warm. */
  readonly warmStretch: number
  /** Stretch beyond which a glue line shows when it is laid at once. */
  readonly glueLineStretch: number
}
