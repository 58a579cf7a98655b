import { ref } from 'vue';

/** How many quantities are being read just now: what was typed in them does not hold yet. */
export const reading = ref(0);
const waiting: (() => void)[] = [];

export async function whileReading(work: () => Promise<void>): Promise<void> {
    reading.value++;
    try {
        await work();
    } finally {
        reading.value--;
        if (reading.value === 0) {
            waiting.splice(0).forEach((go) => go());
        }
    }
}

/** Whatever acts on typed quantities waits for this first. */
export function allRead(): Promise<void> {
    return reading.value === 0 ? Promise.resolve() : new Promise((done) => waiting.push(done));
}
