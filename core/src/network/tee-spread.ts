import { TEE_LEAST_SPREAD, TEE_SPREAD } from '../fitting/index.ts'
import { addPiece, type SpreadSums, TEES } from './link-spread.ts'
import type { Network } from './network.ts'
import { askTee } from './tees.ts'

/** Each leg of a tee but the common one is a thing of its own, in its link. */
export function addTeeSpreads(into: SpreadSums, network: Network): void {
  const { tree, laws, tee } = network
  for (let t = 0; t < tree.tees.length; t++) {
    const { up, a, b, upLeg, aLeg, bLeg } = tree.tees[t]!
    const law = laws[t]
    if (!law) continue
    askTee(network, t, law, tee)
    addLeg(into, network, up, upLeg)
    addLeg(into, network, a, aLeg)
    addLeg(into, network, b, bLeg)
  }
}

function addLeg(into: SpreadSums, { tee, flow }: Network, link: number, leg: number): void {
  if (link < 0 || leg === tee.common || flow[link] === 0) return
  const ownM = TEE_SPREAD * Math.abs(tee.headM[leg]!)
  addPiece(into, TEES, link, Math.max(ownM, TEE_LEAST_SPREAD * tee.velocityHeadM))
}
