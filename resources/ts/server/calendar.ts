import { useQuery } from '@tanstack/vue-query';
import { api } from '../api';
import type { CalendarPage, IdeaCard, ResultLine, TodayLine } from '../types';

/** Query keys to invalidate when events, plans or lead times change. */
export const CALENDAR = ['calendar', 'today'];

export function useCalendar() {
    return useQuery({ queryKey: ['calendar'], queryFn: () => api.get<CalendarPage>('calendar'), staleTime: 0 });
}

export function useToday() {
    return useQuery({ queryKey: ['today'], queryFn: () => api.get<TodayLine[]>('today'), staleTime: 0 });
}

export function useIdeas() {
    return useQuery({ queryKey: ['ideas'], queryFn: () => api.get<IdeaCard[]>('ideas') });
}

export function useResults() {
    return useQuery({ queryKey: ['results'], queryFn: () => api.get<ResultLine[]>('results'), staleTime: 0 });
}

export const kindWords: Record<string, string> = { holiday: 'holidays', family: 'family days', season: 'seasons', awareness: 'awareness months', fun: 'days for fun', own: 'my own days' };

const short = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short', timeZone: 'UTC' });

/** Formats a date like 2031-04-30 in short form; with the year if it is not the current one. */
export function day(on: string): string {
    const date = new Date(`${on}T00:00:00Z`);
    return `${short.format(date)}${date.getUTCFullYear() === new Date().getUTCFullYear() ? '' : ` ${date.getUTCFullYear()}`}`;
}
