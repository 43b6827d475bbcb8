/** Where a run stands in the design: a line's of the return side, or a drain's. */
export type RunPath =
  readonly ['returnSide', 'lines', number, 'run'] | readonly ['drains', number, 'run']
