import { keepPreviousData, QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, reactive, ref, toValue, type MaybeRefOrGetter, type Ref, type UnwrapNestedRefs } from 'vue';
import { api } from '../api';
import type { Area, AssetCard, Catalogue, EffectKind, ExportCard, JobCard, PictureColour, Report, Version } from '../types';

/** Cache of server data, kept until a change invalidates it. */
export const queryClient = new QueryClient({ defaultOptions: { queries: { retry: false, refetchOnWindowFocus: false, staleTime: 30_000 } } });

const LIVE = ['queued', 'running', 'cancelling'];

export const isLive = (one: ExportCard): boolean => LIVE.includes(one.state);

/** The catalogue of effects. */
export function useCatalogue() {
    return useQuery({ queryKey: ['catalogue'], queryFn: () => api.get<Catalogue>('catalogue'), staleTime: Infinity });
}

export function useAssets() {
    return useQuery({ queryKey: ['assets'], queryFn: () => api.get<AssetCard[]>('assets') });
}

export function useAreas() {
    return useQuery({ queryKey: ['areas'], queryFn: () => api.get<Area[]>('areas') });
}

/** The list of jobs; fresh for half a second, so that a request made while the page was loading is not repeated. */
export const jobCards = { queryKey: ['jobs'], queryFn: () => api.get<JobCard[]>('jobs'), staleTime: 500 };

export function useJobs() {
    return useQuery(jobCards);
}

/** The exports of a job, polled while one of them is running. */
export function useExports(job: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['exports', job],
        queryFn: () => api.get<ExportCard[]>(`jobs/${toValue(job)}/exports`),
        enabled: () => toValue(job) !== undefined,
        staleTime: 0,
        refetchInterval: (query) => (query.state.error ? 3000 : query.state.data?.some(isLive) ? 400 : false),
    });
}

/** The preflight report of a revision; the previous one is shown until it arrives. */
export function useReport(revision: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['report', revision],
        queryFn: ({ signal }) => api.get<Report>(`revisions/${toValue(revision)}/preflight?bench=1`, signal),
        enabled: () => toValue(revision) !== undefined,
        staleTime: Infinity,
        placeholderData: keepPreviousData,
    });
}

/** The revisions of a job, newest first. */
export function useVersions(job: MaybeRefOrGetter<number | undefined>, head: MaybeRefOrGetter<number | undefined>) {
    return useQuery({
        queryKey: ['versions', job, head],
        queryFn: () => api.get<Version[]>(`jobs/${toValue(job)}/versions`),
        enabled: () => toValue(job) !== undefined,
        placeholderData: keepPreviousData,
    });
}

/** The palette of a picture. */
export function usePalette(asset: MaybeRefOrGetter<string>) {
    return useQuery({
        queryKey: ['palette', asset],
        queryFn: () => api.get<PictureColour[]>(`assets/${toValue(asset)}/palette?count=8`),
        enabled: () => toValue(asset) !== '',
        staleTime: Infinity,
    });
}

export interface Shop {
    catalogue: Catalogue | undefined;
    assets: AssetCard[];
    effect: (kind: string) => EffectKind | undefined;
    asset: (file: string) => AssetCard | undefined;
}

/** The catalogue and the shelf together. */
export function useShop(): UnwrapNestedRefs<Shop> {
    const { data: catalogue } = useCatalogue();
    const { data: held } = useAssets();
    const assets = computed(() => held.value ?? []);
    return reactive({
        catalogue,
        assets,
        effect: (kind: string) => catalogue.value?.effects.find((effect) => effect.kind === kind),
        asset: (file: string) => assets.value.find((asset) => asset.file === file),
    });
}

/** Marks an asset as favourite: shown at once, reverted if saving fails. */
export function useFavour() {
    const client = useQueryClient();
    const set = (id: number, favourite: boolean): void => {
        client.setQueryData<AssetCard[]>(['assets'], (held) => held?.map((one) => (one.id === id ? { ...one, favourite } : one)));
    };
    return useMutation({
        mutationFn: ({ id, favourite }: { id: number; favourite: boolean }) => api.put<AssetCard>(`assets/${id}/favourite`, { favourite }),
        onMutate: ({ id, favourite }) => set(id, favourite),
        onError: (_, { id, favourite }) => set(id, !favourite),
    });
}

/** A mutation that invalidates some queries. */
export function useChange<Asked, Answer>(change: (asked: Asked) => Promise<Answer>, ...old: string[]) {
    const client = useQueryClient();
    return useMutation({
        mutationFn: change,
        onSuccess: () => Promise.all(old.map((key) => client.invalidateQueries({ queryKey: [key] }))),
    });
}

/**
 * Takes things of a list away. One that is going is not listed while the server is asked, so that nothing more is asked of it
 * (its pictures, above all); it is listed again when it could not be taken away.
 *
 * @param folder  where the things lie in the API, such as `recipes`
 * @param all  what the server lists
 */
export function useRemoval<One extends { id: number }>(folder: string, all: Ref<One[] | undefined>, ...old: string[]) {
    const client = useQueryClient();
    const going = ref(new Set<number>());
    const { mutate, error } = useMutation({
        mutationFn: (one: One) => api.remove(`${folder}/${one.id}`),
        onMutate: (one) => void going.value.add(one.id),
        onSuccess: () => Promise.all(old.map((key) => client.invalidateQueries({ queryKey: [key] }))),
        onSettled: (_answer, _error, one) => void going.value.delete(one.id),
    });
    return { listed: computed(() => all.value?.filter((one) => !going.value.has(one.id))), remove: mutate, error };
}
