import type { ModelFile, SharedFile } from '../model.ts'
import de from './de.json' with { type: 'json' }
import en from './en.json' with { type: 'json' }
import es from './es.json' with { type: 'json' }
import fr from './fr.json' with { type: 'json' }
import shared from './shared.json' with { type: 'json' }

/** The models that are there, by language; they are opened when a text of theirs is read first. */
export const modelFiles: Record<string, ModelFile> = { de, en, es, fr }

/** What is weighed alike in all languages. */
export const sharedWeights: SharedFile = shared
