<script setup lang="ts">
import { ref, watch } from 'vue';
import { VBtn, VCheckbox, VFileInput, VForm, VNumberInput, VSelect, VTextarea } from 'vuetify/components';
import { api } from '../api';
import { useFaults } from '../server/faults';
import { useChange } from '../server/queries';
import { allRead } from '../stores/reading';
import QuantityToken from '../tokens/QuantityToken.vue';
import type { HouseCard, HousePlaceCard, HouseRead } from '../types';
import PlaceOnGarment from './PlaceOnGarment.vue';

/** A print house: its places with their areas to scale, and its requirements for each. */
const open = defineModel<boolean>({ required: true });
const props = defineProps<{ house: HouseCard | null }>();
const emit = defineEmits<{ kept: [house: HouseCard] }>();
type Place = Omit<HousePlaceCard, 'key'>;
const name = ref('');
const names = ref('{title}-{product}-{place}');
const notes = ref('');
const places = ref<Place[]>([]);
const table = ref<File | File[] | null>(null);
const problems = ref<string[]>([]);
const blank = (): Place => ({ product: 'Tee', place: 'front', area: { width: 3600, height: 4800, ppi: 300 }, least: 200, margin: 0, kind: 'png', mostMegabytes: null, finestLine: null, smallestWords: null, underbase: true, mirrored: false, cloths: [] });
const { mutate: save, isPending: busy, error, reset } = useChange(() => {
    const body = { house: JSON.stringify({ format: 'tallcrow.house/1', name: name.value, names: names.value, notes: notes.value, places: places.value }) };
    return props.house ? api.put<HouseCard>(`houses/${props.house.id}`, body) : api.post<HouseCard>('houses', body);
}, 'houses', 'fits');
const reading = useChange((file: File) => {
    const form = new FormData();
    form.set('file', file);
    return api.upload<HouseRead>(`houses/${props.house?.id}/areas`, form);
}, 'houses', 'fits');
const fault = useFaults(error, 'name', 'names', 'notes', 'places[*');
const unread = useFaults(reading.error);

watch([open, () => props.house], () => {
    if (open.value) {
        reset();
        problems.value = [];
        name.value = props.house?.name ?? '';
        names.value = props.house?.names ?? '{title}-{product}-{place}';
        notes.value = props.house?.notes ?? '';
        places.value = (props.house?.places ?? []).map((one) => ({ ...JSON.parse(JSON.stringify(one)), key: undefined }) as Place);
        places.value.forEach((one) => delete (one as Partial<HousePlaceCard>).key);
    }
}, { immediate: true });

/** Faults of a place that have no field of their own. */
const rest = (place: number): string[] => ['', '.area', '.area.width', '.area.height', '.margin', '.kind', '.underbase', '.mirrored'].flatMap((name) => fault.of(`places[${place}]${name}`));
const clothsOf = (place: Place): string => place.cloths.map((one) => (one.name === one.colour ? one.name : `${one.name} ${one.colour}`)).join(', ');

/** Text that is not a name with a colour is sent unchanged and reported by the server. */
function setCloths(place: Place, text: string): void {
    place.cloths = text.split(',').map((one) => one.trim()).filter(Boolean).map((one) => {
        const [, name, colour] = /^(.*?)\s*(#[0-9a-fA-F]{6})$/.exec(one) ?? [];
        return { name: name || one, colour: colour ?? one };
    });
}

async function submit(): Promise<void> {
    await allRead();
    save(undefined, { onSuccess: (house) => emit('kept', house) });
}

function readTable(): void {
    const file = [table.value].flat()[0];
    if (file) {
        reading.mutate(file, { onSuccess: (done) => { problems.value = done.problems; table.value = null; emit('kept', done.house); } });
    }
}
</script>

<template>
    <v-dialog v-model="open" max-width="1000" scrollable aria-labelledby="house-head">
        <v-form class="sheet-dialog house-form" @submit.prevent="submit">
            <h2 id="house-head">{{ house ? house.name : 'A print house' }}</h2>
            <div class="house-head">
                <v-text-field v-model="name" label="Name of the house" maxlength="120" :error-messages="fault.of('name')" />
                <v-text-field v-model="names" label="How it wants files called" maxlength="120" hint="{title} {house} {product} {place} {colour} {width} {height} {ppi} {date}" :error-messages="fault.of('names')" />
                <v-textarea v-model="notes" label="Notes" maxlength="1000" :rows="1" max-rows="6" :error-messages="fault.of('notes')" />
            </div>
            <div v-for="(place, i) in places" :key="i" class="house-place">
                <PlaceOnGarment :product="place.product" :place="place.place" :width="place.area.width / place.area.ppi" :height="place.area.height / place.area.ppi" :margin="place.margin" :label="`${place.product}, ${place.place}: ${(place.area.width / place.area.ppi).toFixed(2)} by ${(place.area.height / place.area.ppi).toFixed(2)} inches`" />
                <div class="house-place-fields">
                    <v-text-field v-model="place.product" label="Product, as the house calls it" maxlength="60" :error-messages="fault.of(`places[${i}].product`)" />
                    <v-text-field v-model="place.place" label="Place" maxlength="60" hint="front, back, chest, sleeve, all over" :error-messages="fault.of(`places[${i}].place`)" />
                    <p class="sentence">
                        <QuantityToken :value="place.area.width / place.area.ppi" kind="length" :least="0.1" :most="120" :ppi="place.area.ppi" :label="`width of place ${i + 1}`" @change="place.area.width = Math.round($event * place.area.ppi)" /> by
                        <QuantityToken :value="place.area.height / place.area.ppi" kind="length" :least="0.1" :most="120" :ppi="place.area.ppi" :label="`height of place ${i + 1}`" @change="place.area.height = Math.round($event * place.area.ppi)" />,
                        <span class="measure">{{ place.area.width }} × {{ place.area.height }} px</span>, free at the edge
                        <QuantityToken :value="place.margin" kind="length" :least="0" :most="5" :ppi="place.area.ppi" :label="`margin of place ${i + 1}`" @change="place.margin = $event" />
                    </p>
                    <v-number-input v-model="place.area.ppi" label="ppi wanted" :min="50" :max="1200" control-variant="hidden" :error-messages="fault.of(`places[${i}].area.ppi`)" />
                    <v-number-input v-model="place.least" label="ppi accepted" :min="10" :max="1200" control-variant="hidden" :error-messages="fault.of(`places[${i}].least`)" />
                    <v-select v-model="place.kind" label="File" :items="[{ value: 'png', title: 'PNG' }, { value: 'tiff', title: 'TIFF with alpha' }, { value: 'pdf', title: 'PDF at true size' }]" />
                    <v-number-input v-model="place.mostMegabytes" label="MB at most" :min="0.1" :precision="null" control-variant="hidden" clearable :error-messages="fault.of(`places[${i}].mostMegabytes`)" />
                    <v-number-input v-model="place.finestLine" label="Finest line, in" :min="0.0005" :max="1" :precision="null" control-variant="hidden" clearable :error-messages="fault.of(`places[${i}].finestLine`)" />
                    <v-number-input v-model="place.smallestWords" label="Smallest letters, in" :min="0.005" :max="5" :precision="null" control-variant="hidden" clearable :error-messages="fault.of(`places[${i}].smallestWords`)" />
                    <v-text-field class="house-cloths" :model-value="clothsOf(place)" label="Cloths, such as Slate #3d4a57, Oat #e4d9c3" @change="setCloths(place, ($event.target as HTMLInputElement).value)" :error-messages="fault.of(`places[${i}].cloths*`)" />
                    <p v-if="rest(i).length" class="house-wrong" role="alert">{{ rest(i).join(' ') }}</p>
                    <v-checkbox v-model="place.mirrored" label="mirrored, for transfers" /><v-checkbox v-model="place.underbase" label="white underbase on dark cloth" />
                    <v-btn size="small" variant="text" :aria-label="`Take out ${place.product}, ${place.place}`" @click="places.splice(i, 1)">take this place out</v-btn>
                </div>
            </div>
            <p><v-btn @click="places.push(blank())">Add a place</v-btn></p>
            <div v-if="house" class="house-files"><v-btn :href="`/api/houses/${house.id}/file.json`" download>As a file</v-btn><v-btn :href="`/api/houses/${house.id}/areas.csv`" download>Areas as a table</v-btn><v-file-input v-model="table" label="Read areas from a table (CSV)" accept=".csv,text/csv" prepend-icon="" density="compact" variant="outlined" hide-details @update:model-value="readTable" /></div>
            <p v-for="problem in problems" :key="problem" role="alert">{{ problem }}</p>
            <p v-if="fault.other || unread.other" role="alert">{{ fault.other || unread.other }}</p>
            <div class="dialog-ends"><v-btn type="submit" variant="flat" color="primary" :loading="busy">Keep this house</v-btn><v-btn @click="open = false">Close</v-btn></div>
        </v-form>
    </v-dialog>
</template>

<style>
.house-form { display: grid; gap: 12px; max-height: 88vh; overflow: auto; }
.house-head { display: grid; grid-template-columns: 1fr 1.4fr 1.4fr; gap: 10px; }
.house-place { display: grid; grid-template-columns: 170px minmax(0, 1fr); gap: 14px; border: 1px solid var(--hair); padding: 10px; }
.house-place-fields { display: grid; grid-template-columns: 1fr 1fr 1fr 1fr; gap: 8px; align-items: start; }
.house-place-fields > :nth-child(-n+2) { grid-column: span 2; }
.house-cloths { grid-column: span 2; }
.house-place-fields > p { grid-column: 1 / -1; margin: 0; }
.house-files { display: flex; flex-wrap: wrap; gap: 10px; align-items: center; }
.house-files .v-input { flex: 1 1 240px; }
@media (max-width: 760px) { .house-head, .house-place { grid-template-columns: 1fr; } .house-place-fields { grid-template-columns: 1fr 1fr; } }
</style>
