import { onScopeDispose, ref, watch, type Ref } from 'vue';
import { api } from '../api';
import { effectWords } from '../words/lines';

interface Steps {
    name: string;
    kind: string;
    done: number;
}

const EVERY = 300;

/** How far the drawing of a proof is, asked for while it is late. */
export function useSteps(late: Ref<boolean>, revision: Ref<number | null>, ppi: Ref<number>): { says: Ref<string>; done: Ref<number | null> } {
    const says = ref('drawing …');
    const done = ref<number | null>(null);
    let timer = 0;

    async function look(): Promise<void> {
        try {
            const { at } = await api.get<{ at: Steps | null }>(`revisions/${revision.value}/steps?ppi=${ppi.value}`);
            if (late.value && at) {
                const verb = effectWords[at.kind]?.verb;
                says.value = `drawing ${at.name}${verb ? `: ${verb.toLowerCase()}` : ''} …`;
                done.value = at.done;
            }
        } catch {
            // Only the news is missing: the proof itself says when it is lost.
            done.value = null;
        }
        if (late.value) {
            timer = window.setTimeout(look, EVERY);
        }
    }

    watch(late, (now) => {
        window.clearTimeout(timer);
        says.value = 'drawing …';
        done.value = null;
        if (now) {
            void look();
        }
    });
    onScopeDispose(() => window.clearTimeout(timer));
    return { says, done };
}
