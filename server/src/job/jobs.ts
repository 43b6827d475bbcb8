/** A design whose figures or earlier states want work. */
export interface DesignJob {
  readonly workspaceId: string
  readonly designId: string
}

/** Where work is put that nobody waits for. */
export interface Jobs {
  /** The shelf's figures of a design are to be computed. */
  readonly figuresWanted: (job: DesignJob, when: 'now' | 'later') => void
  /** The earlier states of a design are to be thinned. */
  readonly thinningWanted: (job: DesignJob) => void
}
