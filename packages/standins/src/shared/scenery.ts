import { createHash } from 'node:crypto'
import type { Router } from 'express'
import sharp from 'sharp'

/** What the pictures of this world show: the sound at some hour, drawn from the id of what they belong to. */
const hours = [
  { name: 'in the morning', sky: ['#f6d9b8', '#9fc6d8'], sea: '#4f8597', light: '#fff3d6' },
  { name: 'at noon', sky: ['#d8ecf4', '#6fb0d2'], sea: '#2f7894', light: '#ffffff' },
  { name: 'in the evening', sky: ['#f0a35e', '#5d4a78'], sea: '#3a4666', light: '#ffd28a' },
  { name: 'in fog', sky: ['#dcdfe0', '#aeb7bb'], sea: '#8b989d', light: '#eef0f0' },
] as const
const sights = ['A ferry', 'A ferry before an island', 'The quay', 'Gulls over the water'] as const

interface Scene {
  hour: (typeof hours)[number]
  sight: (typeof sights)[number]
  /** 0 to 1. */
  place: number
}

function sceneOf(id: string): Scene {
  const bytes = createHash('sha1').update(id).digest()
  return {
    hour: hours[bytes[0]! % hours.length]!,
    sight: sights[bytes[1]! % sights.length]!,
    place: bytes[2]! / 255,
  }
}

/** What the picture of an id shows, in words. */
export function sceneInWords(id: string): string {
  const { hour, sight } = sceneOf(id)
  return `${sight} ${hour.name}`
}

function drawn({ hour, sight, place }: Scene): string {
  const x = Math.round(140 + 420 * place)
  const ship = `<path d="M${x - 110} 392h240l-26 46h-188z" fill="#22303a"/><path d="M${x - 70} 352h130v40h-130z" fill="#f3efe4"/><path d="M${x - 10} 318h34v34h-34z" fill="#b6512c"/>`
  const island = '<path d="M0 400q140-120 260-60t220 60z" fill="#5d6d5a"/>'
  const quay = `<path d="M0 420h800v180H0z" fill="#6b6258"/><path d="M${x} 300h16v130h-16z" fill="#3c352e"/><circle cx="${x + 8}" cy="296" r="15" fill="${hour.light}"/>`
  const gulls = [0, 90, 170]
    .map(
      (d, i) =>
        `<path d="M${x - 120 + d} ${180 + 40 * i}q18-22 34 0q18-22 34 0" fill="none" stroke="#26323a" stroke-width="5"/>`,
    )
    .join('')
  const parts = {
    'A ferry': ship,
    'A ferry before an island': island + ship,
    'The quay': quay,
    'Gulls over the water': gulls,
  }
  return `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600"><defs><linearGradient id="s" x2="0" y2="1"><stop stop-color="${hour.sky[1]}"/><stop offset="1" stop-color="${hour.sky[0]}"/></linearGradient></defs>
    <path d="M0 0h800v600H0z" fill="url(#s)"/><circle cx="${Math.round(700 - 500 * place)}" cy="150" r="46" fill="${hour.light}"/><path d="M0 400h800v200H0z" fill="${hour.sea}"/>${parts[sight]}</svg>`
}

/** Pictures by the id of what they belong to, as JPEG. @param has whether there is one */
export function servePictures(router: Router, has: (id: string) => boolean): void {
  router.get('/pictures/:file', (req, res, next) => {
    const id = /^([\w-]+)\.jpg$/.exec(req.params.file)?.[1]
    if (!id || !has(id)) return next()
    void sharp(Buffer.from(drawn(sceneOf(id))))
      .jpeg({ quality: 78 })
      .toBuffer()
      .then((bytes) => res.type('image/jpeg').send(bytes), next)
  })
}

/** The picture of an id as ActivityStreams 2.0 puts it beside what it belongs to. */
export const pictureObject = (id: string, address: string) => ({
  type: 'Image',
  mediaType: 'image/jpeg',
  url: `${address}/pictures/${id}.jpg`,
  name: sceneInWords(id),
})
