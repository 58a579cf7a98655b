import { createRouter, createWebHistory } from 'vue-router';
import { released } from './hand';
import { signedIn } from './people/me';
import BriefPage from './pages/BriefPage.vue';
import BuildPage from './pages/BuildPage.vue';
import JobShell from './pages/JobShell.vue';
import JobsPage from './pages/JobsPage.vue';
import NewJobPage from './pages/NewJobPage.vue';

const CheckPage = () => import('./pages/CheckPage.vue');
const AccountPage = () => import('./pages/AccountPage.vue');
const CalendarPage = () => import('./pages/CalendarPage.vue');
const DoorPage = () => import('./pages/DoorPage.vue');
const GatherPage = () => import('./pages/GatherPage.vue');
const LogPage = () => import('./pages/LogPage.vue');
const TransfersPage = () => import('./pages/TransfersPage.vue');
const SendPage = () => import('./pages/SendPage.vue');
const SeriesPage = () => import('./pages/SeriesPage.vue');
const ShelfPage = () => import('./pages/ShelfPage.vue');
const HousesPage = () => import('./pages/HousesPage.vue');
const LicencesPage = () => import('./pages/LicencesPage.vue');
const NowherePage = () => import('./pages/NowherePage.vue');
const PeoplePage = () => import('./pages/PeoplePage.vue');

export const router = createRouter({
    history: createWebHistory(),
    routes: [
        { path: '/', component: JobsPage, meta: { title: 'Jobs' } },
        { path: '/new', component: NewJobPage, meta: { title: 'New job' } },
        { path: '/calendar', component: CalendarPage, meta: { title: 'Calendar' } },
        { path: '/shelf', component: ShelfPage, meta: { title: 'Shelf' } },
        { path: '/licences', component: LicencesPage, meta: { title: 'Licences' } },
        { path: '/log', component: LogPage, meta: { title: 'Log' } },
        { path: '/transfers', component: TransfersPage, meta: { title: 'Transfers' } },
        { path: '/houses', component: HousesPage, meta: { title: 'Houses' } },
        {
            path: '/jobs/:job(\\d+)',
            component: JobShell,
            redirect: (to) => `${to.path}/build`,
            children: [
                { path: 'brief', component: BriefPage, meta: { title: 'Brief' } },
                { path: 'gather', component: GatherPage, meta: { title: 'Gather' } },
                { path: 'build', component: BuildPage, meta: { title: 'Build' } },
                { path: 'check', component: CheckPage, meta: { title: 'Check' } },
                { path: 'series', component: SeriesPage, meta: { title: 'Series' } },
                { path: 'send', component: SendPage, meta: { title: 'Send' } },
            ],
        },
        { path: '/sign-in', component: DoorPage, props: { way: 'sign-in' }, meta: { title: 'Sign in', door: true } },
        { path: '/enter/:pass', component: DoorPage, props: { way: 'enter' }, meta: { title: 'Enter', door: true } },
        { path: '/join/:pass', component: DoorPage, props: { way: 'join' }, meta: { title: 'Join', door: true } },
        { path: '/reset/:pass', component: DoorPage, props: { way: 'reset' }, meta: { title: 'New password', door: true } },
        { path: '/account', component: AccountPage, meta: { title: 'Account' } },
        { path: '/people', component: PeoplePage, meta: { title: 'People' } },
        { path: '/:rest(.*)*', component: NowherePage, meta: { title: 'Nothing here', door: true } },
    ],
});

/** The sign-in page, with the page wanted afterwards. */
function door(path: string): { path: string; query?: { to: string } } {
    return path === '/' ? { path: '/sign-in' } : { path: '/sign-in', query: { to: path } };
}

router.beforeEach(async (to) => to.meta['door'] === true || (await signedIn()) || door(to.fullPath));

// Delay a navigation that comes late until the pointer is released.
router.beforeResolve(() => released());

let leaving = false;

/** After signing out, the user is not led back to the page they left, whatever requests of that page are still pending. */
export async function toTheDoor(): Promise<void> {
    leaving = true;
    await router.push('/sign-in').finally(() => (leaving = false));
}

window.addEventListener('signed-out', () => {
    if (!leaving && router.currentRoute.value.meta['door'] !== true) {
        void router.push(door(router.currentRoute.value.fullPath));
    }
});

router.afterEach((to) => {
    document.title = `${String(to.meta['title'] ?? '')} · Tall Crow`;
});
