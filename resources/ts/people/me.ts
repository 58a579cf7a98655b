import { computed, type ComputedRef } from 'vue';
import { useQuery } from '@tanstack/vue-query';
import { api, Refused } from '../api';
import { queryClient } from '../server/queries';
import type { Me } from '../types';

const ME = ['me'];

/** Takes the signed-in user from the page, if it contains one. */
export function fromPage(): boolean {
    const said = document.querySelector<HTMLMetaElement>('meta[name="me"]')?.content;
    if (said) {
        keep(JSON.parse(said) as Me);
    }
    return !!said;
}

/** Whether somebody is signed in. If the server cannot be reached, the user is not sent to the sign-in page. */
export async function signedIn(): Promise<boolean> {
    try {
        await queryClient.ensureQueryData({ queryKey: ME, queryFn: () => api.get<Me>('me') });
        return true;
    } catch (error) {
        return !(error instanceof Refused && error.status === 401);
    }
}

/** Clears cached data when another person signs in. */
export function changeHands(me?: Me): void {
    queryClient.removeQueries({ predicate: (query) => query.queryKey[0] !== ME[0] });
    if (me) {
        keep(me);
    } else {
        queryClient.removeQueries({ queryKey: ME });
    }
}

/** Stores the current account. */
export function keep(me: Me): void {
    queryClient.setQueryData(ME, me);
}

export function useMe(): { me: ComputedRef<Me | undefined>; makes: ComputedRef<boolean> } {
    const { data } = useQuery({ queryKey: ME, queryFn: () => api.get<Me>('me'), staleTime: Infinity, enabled: false });
    return { me: computed(() => data.value), makes: computed(() => data.value?.role !== 'viewer') };
}
