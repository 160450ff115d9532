/** Valence of emoji (skin tones and variation selectors taken off) and emoticons, from -4 to 4. */
const groups: Record<string, string> = {
  '2.6': '😍 🥰 🤩 ❤ ♥ 💖 💗 💓 💞 💕 💘 🧡 💛 💚 💙 💜 😻 🎉 🥳 👏 🏆 💯 🙌',
  '2': '😀 😃 😄 😁 😊 🙂 😌 ☺ 😎 🤗 👍 👌 😋 🤤 💪 ✨ 🌟 ⭐ 🌈 🍾 🥂 🔥 😇 😺 😸 🫶 💐 🌞 ☀ 🤝 🙏 ✌ 🤟',
  '1.2': '😂 🤣 😆 😅 😉 😏 😜 😹 🐬 🌅 🐾',
  '-1.4': '😐 😑 😒 🙄 😕 🙁 ☹ 😬 😞 😔 😟 😥 😓 😩 😫 🥱 😴 🤔 😪 🤦 🤷 🐌 😶 🫤',
  '-2.2': '😢 😭 💔 👎 😠 😣 😖 😨 😰 😱 🤢 🤒 😤 😿 🙅 🚫 ❌ 🗑 😾',
  '-3': '😡 🤬 🤮 🖕 💩 👿 😈 ☠ 💀',
}

const emojiValence = new Map<string, number>()
for (const [valence, list] of Object.entries(groups))
  for (const each of list.split(' ')) emojiValence.set(each, Number(valence))

/** Valence of one emoji token, 0 when it says nothing of a mood. */
export function valenceOfEmoji(emoji: string): number {
  const direct = emojiValence.get(emoji)
  if (direct !== undefined) return direct
  const plain = emoji.replace(/\ufe0f|\p{Emoji_Modifier}/gu, '')
  return emojiValence.get(plain) ?? emojiValence.get([...plain][0] ?? '') ?? 0
}

/** Valence of an emoticon by its mouth: ":-)" glad, ":(" sad, ":/" doubtful, "<3" a heart. */
export function valenceOfEmoticon(text: string): number {
  if (text.startsWith('</')) return -2.2
  if (text.startsWith('<')) return 2.6
  if (/^[)(\]]/.test(text)) return text[0] === '(' ? 2 : -2
  if (text.startsWith('^')) return 1.8
  if (/^[xX]D/.test(text)) return 1.4
  if (text.includes("'(") || text.startsWith('>')) return -2.4
  if (/[)\]D*3pP]/.test(text.slice(1))) return 2
  if (/[([|/\\]/.test(text.slice(1)))
    return text.includes('/') || text.includes('\\') || text.includes('|') ? -1.2 : -2
  return /^-_+-$/.test(text) ? -1.4 : 0
}
