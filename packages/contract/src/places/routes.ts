import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { BrandLook, BrandSetUp, HolidaysAnswer, PlaceSetUp } from './answers.ts'
import type { BrandSetUpDraft, LookDraft, PlaceDraft } from './schemas.ts'

/** Routes of the brand and its places as they are set up. */
export const placesRoutes = {
  brandSetUp: get<BrandSetUp>('/api/set-up/brand', can('setUp', 'brand')),
  brandLook: get<BrandLook>('/api/set-up/look', can('setUp', 'brand')),
  changeLook: put<LookDraft, BrandLook>('/api/set-up/look', can('setUp', 'brand', 'small')),
  /** The picture's bytes. */
  setLogo: post<undefined, BrandLook>('/api/set-up/logo', can('setUp', 'brand', 'attachment')),
  removeLogo: remove<undefined>('/api/set-up/logo', can('setUp', 'brand')),
  changeBrand: put<BrandSetUpDraft, BrandSetUp>('/api/set-up/brand', can('setUp', 'brand', 'small')),
  places: get<PlaceSetUp[]>('/api/set-up/places', can('setUp', 'brand')),
  addPlace: post<PlaceDraft, PlaceSetUp>('/api/set-up/places', can('setUp', 'brand', 'medium')),
  /** Reads the days of a calendar file; nothing is kept of it. The body is the file itself, as text. */
  readHolidays: post<string, HolidaysAnswer>('/api/set-up/holidays', can('setUp', 'brand', 'large')),
  changePlace: put<PlaceDraft, PlaceSetUp>('/api/set-up/places/:id', can('setUp', 'brand', 'medium')),
  removePlace: remove<undefined>('/api/set-up/places/:id', can('setUp', 'brand')),
} as const
