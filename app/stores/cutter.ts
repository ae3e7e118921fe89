import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { machineReportSchema, type MachineJob, type MachineOrder, type MachineReport } from '#core/cut'

const ASK_EVERY_MS = 700

/** Pieces of a sheet, by number. */
type OnSheet = { readonly cut: readonly number[]; readonly spoiled: readonly number[] }

/** The cutting machine: what it was sent, what it says, and which pieces of which sheet are cut. */
export const useCutter = defineStore('cutter', () => {
  const report = shallowRef<MachineReport | null>(null)
  const problem = ref('')
  /** No answer comes; the machine may go on all the same. */
  const isLost = ref(false)
  const sheet = ref<string | null>(null)
  const sheets = shallowRef<Readonly<Record<string, OnSheet>>>({})
  let before: OnSheet = { cut: [], spoiled: [] }
  let timer = 0
  let watchers = 0

  async function ask(method: 'GET' | 'PUT' | 'POST', body?: unknown): Promise<boolean> {
    try {
      const response = await fetch('/api/cutter', {
        method,
        ...(body !== undefined && { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
      })
      if (response.status === 503) throw new Error('lost')
      const answer: unknown = await response.json()
      isLost.value = false
      if (!response.ok) {
        problem.value = (answer as { data?: { why?: string } }).data?.why ?? 'The machine did not take it.'
        return false
      }
      take(machineReportSchema.parse(answer))
      if (method !== 'GET') problem.value = ''
      return true
    } catch {
      isLost.value = true
      return false
    }
  }

  /** What is cut stays cut, also when the rest is sent again. */
  function take(next: MachineReport): void {
    report.value = next
    if (sheet.value === null || next.status === 'empty') return
    const spoiled = next.status === 'fault' ? next.begun : []
    sheets.value = {
      ...sheets.value,
      [sheet.value]: {
        cut: [...new Set([...before.cut, ...next.cut])],
        spoiled: [...new Set([...before.spoiled, ...spoiled])],
      },
    }
  }

  /** Sends a sheet, or what is left of it. */
  async function send(name: string, job: MachineJob): Promise<void> {
    before = sheets.value[name] ?? { cut: [], spoiled: [] }
    const last = sheet.value
    sheet.value = name
    if (!(await ask('PUT', job))) sheet.value = last
  }

  const tell = (order: MachineOrder): Promise<boolean> => ask('POST', { order })

  /** Pieces of a sheet that a fresh one must hold again. */
  function startAgain(name: string): void {
    sheets.value = { ...sheets.value, [name]: { cut: sheets.value[name]?.cut ?? [], spoiled: [] } }
  }

  /** Asks while somebody looks. @returns what to call when nobody does any more */
  function look(): () => void {
    watchers += 1
    if (watchers === 1) {
      void ask('GET')
      timer = window.setInterval(() => void ask('GET'), ASK_EVERY_MS)
    }
    return () => {
      watchers -= 1
      if (watchers === 0) window.clearInterval(timer)
    }
  }

  return {
    report,
    problem,
    isLost,
    sheet,
    sheets,
    send,
    tell,
    startAgain,
    look,
    isBusy: computed(() => report.value?.status === 'running' || report.value?.status === 'paused'),
  }
})
