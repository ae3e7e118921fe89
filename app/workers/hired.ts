import { wrap, type Remote } from 'comlink'

/** The worker that was asked ended before it answered, or could not begin. */
export class WorkerGone extends Error {
  constructor(readonly why: 'failed' | 'stopped') {
    super(why === 'stopped' ? 'It was stopped.' : 'What works it out could not be loaded, or ended.')
  }
}

export type Hired<Work> = {
  /** Hires the worker, so that it is ready once it is asked. */
  readonly begin: () => void
  /** Asks the worker. @throws WorkerGone where it ends before it has answered */
  readonly ask: <Answer>(question: (remote: Remote<Work>) => Promise<Answer>) => Promise<Answer>
  /** Ends the worker in the middle of what it does; the next question hires another, which knows nothing yet. */
  readonly stop: () => void
}

type Present<Work> = {
  readonly worker: Worker
  readonly remote: Promise<Remote<Work>>
  /** The same once it can be asked. */
  here: Remote<Work> | null
  readonly gone: Promise<never>
  readonly leave: (why: WorkerGone['why']) => void
}

/**
 * A worker that is hired when it is asked, and anew when it is gone: its script could not be loaded, it failed, or the
 * browser ended it.
 * @param begin starts the worker under a name, by which it tells that it still lives (see `serve`)
 */
export function hired<Work>(begin: (name: string) => Worker): Hired<Work> {
  let present: Present<Work> | null = null

  function hire(): Present<Work> {
    const name = crypto.randomUUID()
    const worker = begin(name)
    let leave: Present<Work>['leave'] = () => undefined
    const gone = new Promise<never>((_, reject) => {
      leave = (why) => {
        worker.terminate()
        if (present?.worker === worker) present = null
        reject(new WorkerGone(why))
      }
    })
    // Nobody may be asking as it ends.
    gone.catch(() => undefined)
    worker.addEventListener('error', () => leave('failed'))
    const remote = new Promise<Remote<Work>>((resolve) => {
      worker.addEventListener(
        'message',
        () => {
          if ('locks' in navigator) void navigator.locks.request(name, () => leave('failed'))
          hiredNow.here = wrap<Work>(worker)
          resolve(hiredNow.here)
        },
        { once: true },
      )
    })
    const hiredNow: Present<Work> = { worker, remote, here: null, gone, leave }
    return hiredNow
  }

  return {
    begin: () => void (present ??= hire()),
    async ask(question) {
      const { remote, here, gone } = (present ??= hire())
      // One that is here is asked at once: the page goes on to draw what was edited only after that.
      return Promise.race([here ? question(here) : remote.then(question), gone])
    },
    stop: () => present?.leave('stopped'),
  }
}
