import type { Express } from 'express'
import {
  belongsSchema,
  customersSchema,
  newPersonSchema,
  pairSchema,
  personSchema,
  routes,
  visitSchema,
  waySchema,
} from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { sendPages } from './sendPages.ts'
import {
  addPerson,
  addVisit,
  addWay,
  changePerson,
  changeVisit,
  changeWay,
  countPeople,
  exportPeople,
  joinPeople,
  keepApart,
  listPeople,
  peopleCsv,
  personCard,
  proposals,
  removeVisit,
  removeWay,
  sayVisit,
  takeFromProgram,
  threadVisits,
  undoApart,
  undoJoin,
  vcardsOf,
} from '../services/people/index.ts'

export function peopleRoutes(app: Express, context: Context): void {
  handle(app, routes.people, { act: ({ reader, req }) => listPeople(context, reader, req.query) })
  handle(app, routes.peopleCount, { act: ({ reader, req }) => countPeople(context, reader, req.query) })
  handle(app, routes.addPerson, {
    schema: newPersonSchema,
    act: ({ reader, body }) => addPerson(context, reader, body),
  })
  handle(app, routes.exportPeople, {
    act: ({ reader, req, res }) =>
      sendPages(res, exportPeople(context, reader, req.query), {
        type: 'text/csv; charset=utf-8',
        file: 'murrabel-people.csv',
        first: `\ufeff${peopleCsv([], { header: true })}`,
        page: (people) => peopleCsv(people, { header: false }),
        last: '',
      }),
  })
  handle(app, routes.exportVcards, {
    act: ({ reader, req, res }) =>
      sendPages(res, exportPeople(context, reader, req.query), {
        type: 'text/vcard; charset=utf-8',
        file: 'murrabel-people.vcf',
        first: '',
        page: vcardsOf,
        last: '',
      }),
  })
  handle(app, routes.proposals, { act: ({ reader }) => proposals(context, reader) })
  handle(app, routes.joinPeople, {
    schema: pairSchema,
    act: ({ reader, body }) => joinPeople(context, reader, body),
  })
  handle(app, routes.undoJoin, { act: ({ reader, id }) => undoJoin(context, reader, id()) })
  handle(app, routes.keepApart, {
    schema: pairSchema,
    act: ({ reader, body }) => keepApart(context, reader, body),
  })
  handle(app, routes.undoApart, {
    schema: pairSchema,
    act: ({ reader, body }) => undoApart(context, reader, body),
  })
  handle(app, routes.person, { act: ({ reader, id }) => personCard(context, reader, id()) })
  handle(app, routes.changePerson, {
    schema: personSchema,
    act: ({ reader, id, body }) => changePerson(context, reader, id(), body),
  })
  handle(app, routes.addWay, {
    schema: waySchema,
    act: ({ reader, id, body }) => addWay(context, reader, id(), body),
  })
  handle(app, routes.changeWay, {
    schema: waySchema,
    act: ({ reader, id, body }) => changeWay(context, reader, { id: id(), way: id('way') }, body),
  })
  handle(app, routes.addVisit, {
    schema: visitSchema,
    act: ({ reader, id, body }) => addVisit(context, reader, id(), body),
  })
  handle(app, routes.changeVisit, {
    schema: visitSchema,
    act: ({ reader, id, body }) => changeVisit(context, reader, { id: id(), visit: id('visit') }, body),
  })
  handle(app, routes.removeVisit, {
    act: ({ reader, id }) => removeVisit(context, reader, { id: id(), visit: id('visit') }),
  })
  handle(app, routes.threadVisits, { act: ({ reader, id }) => threadVisits(context, reader, id()) })
  handle(app, routes.sayVisit, {
    schema: belongsSchema,
    act: ({ reader, id, body }) => sayVisit(context, reader, { id: id(), visit: id('visit') }, body.belongs),
  })
  handle(app, routes.takeCustomers, {
    schema: customersSchema,
    act: ({ reader, body }) =>
      takeFromProgram(context, { brandId: reader.brandId, by: reader, source: 'call' }, body),
  })
  handle(app, routes.removeWay, {
    act: ({ reader, id }) => removeWay(context, reader, { id: id(), way: id('way') }),
  })
}
