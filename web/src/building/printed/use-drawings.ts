import type { building } from '@yew-basin/core'
import { getCurrentInstance } from 'vue'
import IsometricDrawing from '../../isometric/IsometricDrawing.vue'
import { lengthLabels } from '../../isometric/length-labels.ts'
import { markLabels } from '../../isometric/mark-labels.ts'
import SectionDrawing from '../../section/SectionDrawing.vue'
import type { useUnits } from '../../shell/units.ts'
import type { PanelToCut } from '../../sump/cut-drawing.ts'
import PanelsDrawing from '../../sump/PanelsDrawing.vue'
import StockBars from '../StockBars.vue'
import { drawnOffScreen } from './off-screen.ts'

/** Sizes that drawings are made at, px. */
const SECTION = [1000, 640] as const
const WIDE = [1000, 700] as const

/** Makes the drawings that are printed, as the views draw them. */
export function useDrawings() {
  const context = getCurrentInstance()!.appContext
  return {
    section: () => drawnOffScreen(SectionDrawing, {}, { context, size: SECTION }),
    isometric: (
      { kind, title, isometric }: building.TitledIsometric,
      units: ReturnType<typeof useUnits>,
    ) =>
      drawnOffScreen(
        IsometricDrawing,
        {
          drawing: isometric,
          labels: kind === 'whole' ? markLabels(isometric) : lengthLabels(isometric, units),
          name: title,
        },
        { context, size: WIDE },
      ),
    bars: (plan: building.CutPlan) => drawnOffScreen(StockBars, { plan }, { context, size: WIDE }),
    panels: (panels: readonly PanelToCut[], label: string) =>
      drawnOffScreen(PanelsDrawing, { panels, label }, { context, size: WIDE }),
  }
}
