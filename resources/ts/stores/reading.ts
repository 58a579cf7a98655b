import { ref } from 'vue';

/** Number of typed quantities being parsed by the server; their values are not set yet. */
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

/** Resolves when all typed quantities are parsed. */
export function allRead(): Promise<void> {
    return reading.value === 0 ? Promise.resolve() : new Promise((done) => waiting.push(done));
}
