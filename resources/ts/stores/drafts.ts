import type { Artwork } from '../types';

/** What was set and is not saved yet, kept in this browser until it is. */
export interface Draft {
    version: number;
    artwork: Artwork;
}

const key = (job: number): string => `unsaved ${job}`;

/** A browser that is full, or keeps nothing, is no reason to stop working. */
export function keepDraft(job: number, draft: Draft): void {
    try {
        localStorage.setItem(key(job), JSON.stringify(draft));
    } catch {
        dropDraft(job);
    }
}

export function dropDraft(job: number): void {
    try {
        localStorage.removeItem(key(job));
    } catch {
        // Nothing is kept, so nothing has to go.
    }
}

/** What is kept of a job, if it is not what the server holds. */
export function draftOf(job: number, held: Artwork): Draft | null {
    try {
        const draft = JSON.parse(localStorage.getItem(key(job)) ?? 'null') as Draft | null;
        return draft && JSON.stringify(draft.artwork) !== JSON.stringify(held) ? draft : null;
    } catch {
        return null;
    }
}
