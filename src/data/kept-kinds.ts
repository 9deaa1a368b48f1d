/** Kinds of record that are kept. */
export type StoredKind = 'castings' | 'molds' | 'pantry' | 'kitchens' | 'occasions' | 'runs';

/** How it stands with keeping them. `silent`: the database is there and does not answer. */
export type SavedState = 'saved' | 'saving' | 'memory' | 'full' | 'silent';
