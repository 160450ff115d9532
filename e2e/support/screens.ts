import type { Page } from '@playwright/test'
import { address } from './world.ts'

/** Where every screen is, for somebody who may all, and has a watch. */
export async function screens(page: Page): Promise<string[]> {
  const first = (await (await page.request.get(`${address}/api/watches`)).json()) as { id: number }[]
  const watch = `watch=${first[0]!.id}`
  return [
    '/today',
    '/set-up/replies',
    '/inbox?state=any&given=anybody&time=last-90',
    '/inbox/people?time=last-90',
    '/inbox/week-ahead',
    '/inbox/follow-ups?whose=anybody&done=any',
    `/watch?${watch}`,
    `/watch?${watch}&view=mentions`,
    `/watch?${watch}&view=figures`,
    `/watch?${watch}&view=voices`,
    `/watch?${watch}&view=spikes`,
    `/watch/compare?${watch}`,
    '/watch/rivals',
    '/watch/side-by-side',
    '/watch/alerts',
    '/watch/teach',
    '/set-up/profiles',
    '/set-up/import',
    '/set-up/colleagues',
    '/set-up/account',
    '/set-up/log',
    '/set-up/keys',
    '/set-up/places',
    '/set-up/personal-data',
    '/nowhere',
  ]
}
