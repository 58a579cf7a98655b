import { computed, type ComputedRef } from 'vue';
import { useQuery } from '@tanstack/vue-query';
import { api, Refused } from '../api';
import { queryClient } from '../server/queries';
import type { Me } from '../types';

const ME = ['me'];

/** Who is signed in, as the page itself says where it knows. */
export function fromPage(): boolean {
    const said = document.querySelector<HTMLMetaElement>('meta[name="me"]')?.content;
    if (said) {
        keep(JSON.parse(said) as Me);
    }
    return !!said;
}

/** Whether somebody is signed in. A server that cannot be reached is no reason to send anybody to the door. */
export async function signedIn(): Promise<boolean> {
    try {
        await queryClient.ensureQueryData({ queryKey: ME, queryFn: () => api.get<Me>('me') });
        return true;
    } catch (error) {
        return !(error instanceof Refused && error.status === 401);
    }
}

/** Nothing that one person read is shown to the next. */
export function changeHands(me?: Me): void {
    queryClient.removeQueries({ predicate: (query) => query.queryKey[0] !== ME[0] });
    if (me) {
        keep(me);
    } else {
        queryClient.removeQueries({ queryKey: ME });
    }
}

/** The account as it is now. */
export function keep(me: Me): void {
    queryClient.setQueryData(ME, me);
}

export function useMe(): { me: ComputedRef<Me | undefined>; makes: ComputedRef<boolean> } {
    const { data } = useQuery({ queryKey: ME, queryFn: () => api.get<Me>('me'), staleTime: Infinity, enabled: false });
    return { me: computed(() => data.value), makes: computed(() => data.value?.role !== 'viewer') };
}
