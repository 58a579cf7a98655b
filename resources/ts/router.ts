import { createRouter, createWebHistory } from 'vue-router';
import BriefPage from './pages/BriefPage.vue';
import BuildPage from './pages/BuildPage.vue';
import HousesPage from './pages/HousesPage.vue';
import JobShell from './pages/JobShell.vue';
import JobsPage from './pages/JobsPage.vue';
import NewJobPage from './pages/NewJobPage.vue';
import SendPage from './pages/SendPage.vue';
import ShelfPage from './pages/ShelfPage.vue';

export const router = createRouter({
    history: createWebHistory(),
    routes: [
        { path: '/', component: JobsPage, meta: { title: 'Jobs' } },
        { path: '/new', component: NewJobPage, meta: { title: 'New job' } },
        { path: '/shelf', component: ShelfPage, meta: { title: 'Shelf' } },
        { path: '/houses', component: HousesPage, meta: { title: 'Houses' } },
        {
            path: '/jobs/:job(\\d+)',
            component: JobShell,
            redirect: (to) => `${to.path}/build`,
            children: [
                { path: 'brief', component: BriefPage, meta: { title: 'Brief' } },
                { path: 'gather', component: ShelfPage, meta: { title: 'Gather' } },
                { path: 'build', component: BuildPage, meta: { title: 'Build' } },
                { path: 'send', component: SendPage, meta: { title: 'Send' } },
            ],
        },
        { path: '/:rest(.*)*', redirect: '/' },
    ],
});

router.afterEach((to) => {
    document.title = `${String(to.meta['title'] ?? '')} · Tall Crow`;
});
