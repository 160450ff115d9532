import { getSchema, type Extensions } from '@tiptap/core'
import { StarterKit } from '@tiptap/starter-kit'
import type { Node, Schema } from '@tiptap/pm/model'
import { MarkdownParser, MarkdownSerializer } from 'prosemirror-markdown'
import { escapeMarkup, readMarkup } from '@murrabel/core/markup'

/** What an answer by mail may be laid out with, no more than the markup says. */
export const layout: Extensions = [
  StarterKit.configure({
    code: false,
    codeBlock: false,
    dropcursor: false,
    gapcursor: false,
    heading: false,
    horizontalRule: false,
    strike: false,
    trailingNode: false,
    underline: false,
    link: {
      autolink: false,
      openOnClick: false,
      protocols: ['tel'],
      isAllowedUri: (address) => readMarkup.validateLink(address),
    },
  }),
]

const serializer = new MarkdownSerializer(
  {
    blockquote: (state, node) => state.wrapBlock('> ', null, node, () => state.renderContent(node)),
    bulletList: (state, node) => state.renderList(node, '  ', () => '- '),
    orderedList(state, node) {
      const start = Number(node.attrs['start'] ?? 1)
      const width = String(start + node.childCount - 1).length + 2
      state.renderList(node, ' '.repeat(width), (i) => `${start + i}. `.padEnd(width))
    },
    listItem: (state, node) => state.renderContent(node),
    paragraph(state, node) {
      state.renderInline(node)
      state.closeBlock(node)
    },
    hardBreak: (state) => state.write('\n'),
    text: (state, node) => state.text(escapeMarkup(node.text ?? ''), false),
  },
  {
    bold: { open: '**', close: '**', mixable: true, expelEnclosingWhitespace: true },
    italic: { open: '*', close: '*', mixable: true, expelEnclosingWhitespace: true },
    link: {
      open: '[',
      close: (_, mark) => `](<${String(mark.attrs['href']).replace(/[<>\\]/g, '\\$&')}>)`,
      mixable: true,
    },
  },
  { hardBreakNodeName: 'hardBreak' },
)

const parserOf = (schema: Schema) =>
  new MarkdownParser(schema, readMarkup, {
    blockquote: { block: 'blockquote' },
    bullet_list: { block: 'bulletList' },
    ordered_list: {
      block: 'orderedList',
      getAttrs: (token) => ({ start: Number(token.attrGet('start') ?? 1) }),
    },
    list_item: { block: 'listItem' },
    paragraph: { block: 'paragraph' },
    softbreak: { node: 'hardBreak' },
    hardbreak: { node: 'hardBreak' },
    strong: { mark: 'bold' },
    em: { mark: 'italic' },
    link: { mark: 'link', getAttrs: (token) => ({ href: token.attrGet('href') }) },
  })

/** Markup as the document of the editor whose schema this is. */
export const documentOf = (markup: string, schema: Schema = getSchema(layout)): Node =>
  parserOf(schema).parse(markup)

/** A document of the editor as markup. */
export const markupOf = (document: Node): string =>
  serializer.serialize(document, { tightLists: true }).trim()
