/** What nobody can tell beforehand: a drill is run both ways, and the worse counts. */
export interface DoubtfulWays {
  /** A pump that draws air loses its prime and stays dry, or gasps on. */
  readonly air: 'stays-dry' | 'gasps'
  /** A siphon whose restart is doubtful starts again, or stays with air in it. */
  readonly siphons: 'start' | 'stay'
}

/** As is taken first. */
export const FIRST_WAYS: DoubtfulWays = { air: 'stays-dry', siphons: 'start' }
