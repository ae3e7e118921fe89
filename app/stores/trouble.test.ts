import { describe, expect, it } from 'vitest'
import { WrittenByNewer } from '~/database/database'
import { WorkerGone } from '~/workers/hired'
import { openingTrouble, planTrouble, troubleSentence, type Trouble } from './trouble'

const named = (name: string, inner?: Error): Error => Object.assign(new Error(`a ${name}`), { name, inner })

describe('what keeps the studio from opening', () => {
  it.each<readonly [unknown, Trouble['code']]>([
    [named('QuotaExceededError'), 'full'],
    [named('AbortError', named('QuotaExceededError')), 'full'],
    [named('SecurityError'), 'refused'],
    [named('OpenFailedError', named('UnknownError')), 'refused'],
    [new WrittenByNewer(), 'newer'],
    [named('TypeError'), 'notOpened'],
    ['only words', 'notOpened'],
  ])('is told by its cause: %s', (reason, code) => expect(openingTrouble(reason).code).toBe(code))
})

describe('what keeps figures from following', () => {
  it('is told apart: nobody answers, it was stopped, it cannot be worked out', () => {
    expect(planTrouble(new WorkerGone('failed'))).toEqual({ code: 'nobody' })
    expect(planTrouble(new WorkerGone('stopped'))).toEqual({ code: 'stopped' })
    expect(planTrouble(new Error('no tiers'))).toEqual({ code: 'unworkable', reason: 'no tiers' })
  })
  it('says that figures are of before only where there are some', () => {
    expect(troubleSentence({ code: 'nobody' }, true)).toContain('those of before')
    expect(troubleSentence({ code: 'nobody' }, false)).not.toContain('those of before')
  })
})
