import type { Ref } from 'vue'
import {
  lensKinds,
  lensOrigins,
  lensOrders,
  lensSentiments,
  lensStates,
  lensWishes,
  followUpKinds,
  followUpStates,
  logSubjects,
  peopleOrders,
  personStandings,
  priorityValues,
  spamValues,
  visitedValues,
  type Lens,
  type LensField,
} from '@murrabel/core/lens'
import { useBrand } from '../stores/brand.ts'
import { useTexts } from './useTexts.ts'

export interface LensOption {
  value: string | number
  label: string
}

/** Whose threads; nothing of teams where there are none. */
const ownersOf = (teams: boolean) =>
  teams
    ? (['anybody', 'me', 'mine', 'myTeams', 'nobody', 'meOrNobody'] as const)
    : (['anybody', 'me', 'nobody', 'meOrNobody'] as const)

/** Languages on offer; others are reached through the figures. */
export const commonLanguages = ['en', 'fr', 'es', 'de', 'it', 'nl', 'pt', 'und']

/** What each phrase of the lens could be instead, in the reader's words. */
export function useLensOptions(lens: Ref<Lens>): (field: LensField) => LensOption[] {
  const { t, called, languageName } = useTexts()
  const brand = useBrand()
  /** Of the lens over follow-ups, and of the one over the log. */
  function ofOthers(field: LensField): LensOption[] {
    switch (field) {
      case 'followUpState':
        return followUpStates.map((value) => ({ value, label: t(`lens.followUpState.${value}`) }))
      case 'followUpKinds':
        return followUpKinds.map((value) => ({ value, label: t(`followUps.kinds.${value}`) }))
      case 'followUpOwner':
        return [
          ...(['me', 'anybody', 'nobody'] as const).map((value) => ({
            value,
            label: t(`lens.followUpOwner.${value}`),
          })),
          ...brand.colleagues.map(({ id, name }) => ({ value: id, label: name })),
        ]
      case 'followUpPlaces':
        return brand.places.map(({ id, name }) => ({ value: id, label: name }))
      case 'logDoer':
        return [
          ...(['anybody', 'me', 'itself'] as const).map((value) => ({
            value,
            label: t(`lens.logDoer.${value}`),
          })),
          ...brand.colleagues.map(({ id, name }) => ({ value: id, label: name })),
        ]
      case 'logSubjects':
        return logSubjects.map((value) => ({ value, label: t(`log.subjects.${value}`) }))
      default:
        return []
    }
  }
  return (field: LensField): LensOption[] => {
    switch (field) {
      case 'state':
        return [...lensStates, 'any' as const].map((value) => ({ value, label: t(`lens.state.${value}`) }))
      case 'kinds':
        return lensKinds.map((value) => ({ value, label: t(`lens.kind.${value}`) }))
      case 'origins':
        return lensOrigins.map((value) => ({ value, label: t(`lens.origin.${value}`) }))
      case 'channels':
        return (brand.answer?.channels ?? []).map((value) => ({
          value,
          label: called('lens.channel', value),
        }))
      case 'places':
        return brand.places.map(({ id, name }) => ({ value: id, label: name }))
      case 'sentiments':
        return lensSentiments.map((value) => ({ value, label: t(`lens.sentiment.${value}`) }))
      case 'wishes':
        return lensWishes.map((value) => ({ value, label: t(`lens.wish.${value}`) }))
      case 'givenTo': {
        const teams = brand.answer?.teams ?? []
        return [
          ...ownersOf(teams.length > 0).map((value) => ({
            value,
            label: t(`lens.givenTo.${value === 'meOrNobody' && !teams.length ? 'meAlone' : value}`),
          })),
          ...brand.colleagues.map(({ id, name }) => ({ value: id, label: name })),
          ...teams.map(({ id, name }) => ({ value: `team-${id}`, label: name })),
        ]
      }
      case 'priority':
        return priorityValues.map((value) => ({ value, label: t(`lens.priority.${value}`) }))
      case 'spam':
        return spamValues.map((value) => ({ value, label: t(`lens.spam.${value}`) }))
      case 'watch':
        return [
          { value: 0, label: t('lens.watch.all') },
          ...brand.watches.map(({ id, name }) => ({ value: id, label: name })),
          // Groups go by their negative number, so that one list holds both.
          ...brand.groups.map(({ id, name }) => ({ value: -id, label: `${t('lens.groups')}: ${name}` })),
        ]
      case 'languages':
        return commonLanguages.map((value) => ({ value, label: languageName(value) }))
      case 'tags':
      case 'personTags':
        return brand.tags.map(({ id, name }) => ({ value: id, label: name }))
      case 'order':
        return lensOrders
          .filter((value) =>
            lens.value.unit === 'threads' ? !['reach', 'distinctive'].includes(value) : value !== 'pressing',
          )
          .map((value) => ({ value, label: t(`lens.order.${value}`) }))
      case 'standings':
        return personStandings.map((value) => ({ value, label: t(`watch.voices.standings.${value}`) }))
      case 'visited':
        return visitedValues.map((value) => ({ value, label: t(`lens.visited.${value}`) }))
      case 'peopleOrder':
        return peopleOrders.map((value) => ({ value, label: t(`lens.peopleOrder.${value}`) }))
      case 'range':
        return [7, 14, 30, 90, 365].map((value) => ({
          value,
          label: t('lens.range.last', { n: value }, value),
        }))
      default:
        return ofOthers(field)
    }
  }
}
