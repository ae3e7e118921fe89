import { expect, request as requests, test, type APIRequestContext } from '@playwright/test'
import { ownStudio } from './studio'

const order = (server: APIRequestContext, data: unknown, headers: Record<string, string> = {}) =>
  server.fetch('/api/cutter', { method: 'POST', data, headers })

test('every page and file says what it may run, and is not framed', async ({ page, request }) => {
  for (const path of ['/', '/arrange', '/mark.svg']) {
    const headers = (await request.get(path)).headers()
    expect(headers['content-security-policy'], path).toContain("frame-ancestors 'none'")
    expect([headers['x-content-type-options'], headers['referrer-policy']]).toEqual(['nosniff', 'no-referrer'])
    expect(headers['x-powered-by']).toBeUndefined()
  }
  const start = await (await request.get('/')).text()
  expect(start).toMatch(
    /<meta http-equiv="Content-Security-Policy" content="default-src 'self'; script-src 'self' 'sha256-/,
  )
  // It works under it, and what is put into it does not run.
  await ownStudio(page)
  const hasRun = await page.evaluate(() => {
    const script = document.createElement('script')
    script.textContent = 'window.hasRun = true'
    document.body.append(script)
    return 'hasRun' in window
  })
  expect(hasRun).toBe(false)
})

test('devices answer only what they know, in JSON, to pages of this server', async ({ request }) => {
  const answers = await Promise.all([
    request.get('/api/kettle'),
    request.delete('/api/stand-ins'),
    order(request, 'order=clear', { 'content-type': 'application/x-www-form-urlencoded' }),
    order(request, Buffer.from('{"order":'), { 'content-type': 'application/json' }),
    order(request, { order: 'explode' }),
    order(request, { order: 'clear' }, { origin: 'http://elsewhere.test' }),
    order(request, { order: 'clear' }, { 'sec-fetch-site': 'cross-site' }),
    order(request, { order: 'clear', more: 'x'.repeat(5_000_000) }),
    request.get('/api/forecast?from=yesterday'),
  ])
  expect(answers.map((answer) => answer.status())).toEqual([404, 405, 415, 400, 422, 403, 403, 413, 422])
  for (const answer of answers) expect((await answer.json()).data.why).toMatch(/\.$/)
  expect(answers[1]!.headers().allow).toBe('GET, PUT')
})

test('each browser has stand-ins of its own', async ({ request, baseURL }) => {
  const other = await requests.newContext({ baseURL: baseURL! })
  await request.put('/api/stand-ins', { data: { sensor: 'silent' } })
  expect(await (await request.get('/api/stand-ins')).json()).toMatchObject({ sensor: 'silent' })
  expect(await (await other.get('/api/stand-ins')).json()).toMatchObject({ sensor: 'none' })
  await other.dispose()
})
