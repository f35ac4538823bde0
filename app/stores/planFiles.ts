import { defineStore } from 'pinia'
import { GATE_NAMES } from '~~/core/show/text/gateText'
import { download } from '../storage/download'
import { fileName } from '../storage/fileName'
import { usePlan } from './plan'
import { useTasks } from './tasks'
import { useWorkbench } from './workbench'

/** The plan as files: a table, a calendar. */
export const usePlanFiles = defineStore('plan-files', () => {
  const workbench = useWorkbench()
  const tasks = useTasks()
  const plan = usePlan()

  async function saveCsv(): Promise<void> {
    const { build } = workbench
    if (!build) return
    const [{ csvText }, { planTable }] = await Promise.all([
      import('~~/core/measure/csv/csvText'),
      import('~~/core/jobs/export/planTable'),
    ])
    download(fileName(build.name, '-plan.csv'), csvText(planTable(tasks.all, plan.plan)), 'text/csv')
  }

  async function saveCalendar(): Promise<void> {
    const { build } = workbench
    if (!build || !plan.plan) return
    const gates = plan.gateMarks.map((mark) => ({ ...mark, name: GATE_NAMES[mark.gate] }))
    const { calendarText, planDays } = await import('~~/core/jobs/export/planCalendar')
    const now = `${new Date().toISOString().slice(0, 19)}Z`
    const text = calendarText(planDays(plan.plan, gates), { id: build.id, name: build.name }, now)
    download(fileName(build.name, '-plan.ics'), text, 'text/calendar')
  }

  return { saveCsv, saveCalendar }
})
