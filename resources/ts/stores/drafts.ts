import type { Artwork } from '../types';

/** Unsaved changes, kept in the browser's storage until they are saved. */
export interface Draft {
    version: number;
    artwork: Artwork;
}

const key = (job: number): string => `unsaved ${job}`;

/** Ignore a full or disabled storage. */
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
        // Without storage there is nothing to remove.
    }
}

/** The draft of a job, if it differs from the server's state. */
export function draftOf(job: number, held: Artwork): Draft | null {
    try {
        const draft = JSON.parse(localStorage.getItem(key(job)) ?? 'null') as Draft | null;
        return draft && JSON.stringify(draft.artwork) !== JSON.stringify(held) ? draft : null;
    } catch {
        return null;
    }
}
