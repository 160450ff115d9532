import { defineStore } from 'pinia'
import { computed, ref, type Ref } from 'vue'
import {
  mayDo,
  routes,
  type BrandAnswer,
  type Right,
  type RouteName,
  type SignIn,
  type TagAnswer,
} from '@murrabel/contract'
import { call, CallProblem } from '../api/call.ts'

/** What a brand has, and the names of it by number; empty before the brand is known. */
function useBrandNames(answer: Ref<BrandAnswer | null>) {
  const places = computed(() => answer.value?.places ?? [])
  const colleagues = computed(() => answer.value?.colleagues ?? [])
  const watches = computed(() => answer.value?.watches ?? [])
  const groups = computed(() => answer.value?.groups ?? [])
  const aspects = computed(() => answer.value?.aspects ?? [])
  const tags = computed(() => answer.value?.tags ?? [])
  const nameOfTag = (id: number) => tags.value.find((tag) => tag.id === id)?.name ?? ''
  const nameOfGroup = (id: number | null) => groups.value.find((g) => g.id === id)?.name ?? ''
  const placeName = (id: number | null) => places.value.find((p) => p.id === id)?.name ?? ''
  const colleagueName = (id: number | null) => colleagues.value.find((c) => c.id === id)?.name ?? ''
  const nameOfWatch = (id: number | null) => watches.value.find((w) => w.id === id)?.name ?? ''
  const teamName = (id: number | null) => answer.value?.teams.find((team) => team.id === id)?.name ?? ''
  /** Whose a thread is; empty: nobody's. */
  const ownerName = ({ givenTo, teamId }: { givenTo: number | null; teamId: number | null }) =>
    colleagueName(givenTo) || teamName(teamId)
  const zone = computed(() => answer.value?.brand.zone ?? 'UTC')
  return {
    places,
    colleagues,
    watches,
    groups,
    aspects,
    tags,
    nameOfTag,
    nameOfGroup,
    placeName,
    colleagueName,
    teamName,
    ownerName,
    nameOfWatch,
    zone,
  }
}

/** The brand one works on, and who one is: shared by all sections. */
export const useBrand = defineStore('brand', () => {
  const answer = ref<BrandAnswer | null>(null)
  const signedOut = ref(false)

  async function load(): Promise<boolean> {
    try {
      const found = await call(routes.brand)
      // In another window the session went over to another brand: what is on the screen is of neither.
      if (answer.value && answer.value.brand.id !== found.brand.id) location.assign('/inbox')
      answer.value = found
      signedOut.value = false
      return true
    } catch (error) {
      if (error instanceof CallProblem && error.problem.code === 'notSignedIn') return false
      throw error
    }
  }
  async function signIn(given: SignIn): Promise<void> {
    answer.value = await call(routes.signIn, { body: given })
    signedOut.value = false
  }
  /** Everything that is on the screen is of the other brand: the page begins anew. */
  async function switchTo(brandId: number): Promise<void> {
    await call(routes.switchBrand, { body: { brandId } })
    location.assign('/inbox')
  }
  async function signOut(): Promise<void> {
    await call(routes.signOut)
    answer.value = null
  }
  async function reloadWatches(): Promise<void> {
    const [watches, groups] = await Promise.all([call(routes.watches), call(routes.groups)])
    if (answer.value) answer.value = { ...answer.value, watches, groups }
  }
  function takeTags(tags: TagAnswer[]): void {
    if (answer.value) answer.value = { ...answer.value, tags }
  }
  /** Whether one may do this to what one sees; the server asks the same table. */
  const may = (right: Right): boolean => answer.value !== null && mayDo(answer.value.me, right)
  /** Whether one may call a route of the contract. */
  function mayCall(name: RouteName): boolean {
    const { right, scope } = routes[name].access
    return answer.value !== null && mayDo(answer.value.me, right, scope)
  }
  return {
    answer,
    signedOut,
    load,
    signIn,
    signOut,
    switchTo,
    reloadWatches,
    takeTags,
    may,
    mayCall,
    ...useBrandNames(answer),
  }
})
