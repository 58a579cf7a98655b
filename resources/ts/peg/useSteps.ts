import { useQuery } from '@tanstack/vue-query';
import { computed, type Ref } from 'vue';
import { api } from '../api';
import type { Drawing } from '../types';
import { effectWords } from '../words/lines';

const EVERY = 300;

/** The progress of a proof, polled while it is late. */
export function useSteps(late: Ref<boolean>, revision: Ref<number | null>, ppi: Ref<number>): { says: Ref<string>; done: Ref<number | null> } {
    const { data, error } = useQuery({
        queryKey: ['steps', revision, ppi],
        queryFn: () => api.get<Drawing>(`revisions/${revision.value}/steps?ppi=${ppi.value}`),
        enabled: () => late.value && revision.value !== null,
        refetchInterval: EVERY,
        staleTime: 0,
        gcTime: 0,
    });
    // If polling fails only the progress is missing: the proof itself reports errors.
    const at = computed(() => (late.value && !error.value ? (data.value?.at ?? null) : null));
    const says = computed(() => {
        const verb = at.value && effectWords[at.value.kind]?.verb;
        return at.value ? `drawing ${at.value.name}${verb ? `: ${verb.toLowerCase()}` : ''} …` : 'drawing …';
    });
    return { says, done: computed(() => at.value?.done ?? null) };
}
