import {
  ERRORS,
  type ErrorCode,
  type Fault,
  type Problem,
  type QuotaName,
} from '@yew-basin/contract'

/** A request that is refused, from wherever it is noticed. */
export class Refusal extends Error {
  readonly code: ErrorCode
  readonly faults: readonly Fault[] | undefined
  readonly current: unknown
  readonly quota: QuotaName | undefined

  constructor(
    code: ErrorCode,
    detail: string,
    more: { faults?: readonly Fault[]; current?: unknown; quota?: QuotaName } = {},
  ) {
    super(detail)
    this.code = code
    this.faults = more.faults
    this.current = more.current
    this.quota = more.quota
  }

  get problem(): Problem {
    const { status, title } = ERRORS[this.code]
    return {
      type: `urn:yew-basin:problem:${this.code}`,
      code: this.code,
      title,
      status,
      detail: this.message,
      ...(this.faults ? { faults: this.faults } : {}),
      ...(this.current === undefined ? {} : { current: this.current }),
      ...(this.quota ? { quota: this.quota } : {}),
    }
  }
}
