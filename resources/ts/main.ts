import '@fontsource/schibsted-grotesk/400.css';
import '@fontsource/schibsted-grotesk/600.css';
import '@fontsource/spline-sans-mono/400.css';
import '@fontsource/spline-sans-mono/500.css';
import { VueQueryPlugin } from '@tanstack/vue-query';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { createVuetify } from 'vuetify';
import { VApp, VBtn, VColorPicker, VVirtualScroll, VDialog, VMenu, VProgressLinear, VTextField } from 'vuetify/components';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';
import 'vuetify/styles';
import App from './App.vue';
import { watchHand } from './hand';
import { router } from './router';
import { fromPage } from './people/me';
import { jobCards, queryClient } from './server/queries';
import './styles/base.css';

// Prefetch the data of the first view.
if (fromPage() && location.pathname === '/') {
    void queryClient.prefetchQuery(jobCards);
}

const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '';

// Hints are persistent: if they appeared with the focus, the content below would move during a press.
const field = { density: 'compact', variant: 'outlined', hideDetails: 'auto', persistentHint: true, color: 'primary' } as const;
const vuetify = createVuetify({
    components: { VApp, VBtn, VColorPicker, VVirtualScroll, VDialog, VMenu, VProgressLinear, VTextField },
    defaults: {
        VTextField: field,
        // Menus open without a transition, so that nothing moves under the pointer.
        VMenu: { transition: false },
        VSelect: { ...field, menuProps: { transition: false } },
        VAutocomplete: { ...field, menuProps: { transition: false } },
        VCombobox: { ...field, menuProps: { transition: false } },
        VNumberInput: field,
        VFileUploadItem: { fileIcon: '$file' },
        VTextarea: { ...field, autoGrow: true, rows: 2 },
        VCheckbox: { density: 'compact', hideDetails: 'auto', persistentHint: true, color: 'primary' },
        VBtn: { variant: 'outlined', rounded: 'sm', class: 'plain' },
    },
    icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
    theme: {
        cspNonce: nonce,
        defaultTheme: 'light',
        themes: {
            light: { dark: false, colors: { background: '#f4efe4', surface: '#fbf8f1', primary: '#9c3d1c', 'on-primary': '#fbf8f1', 'on-background': '#1f1d1a', 'on-surface': '#1f1d1a' } },
            dark: { dark: true, colors: { background: '#1c1b19', surface: '#262421', primary: '#e5875f', 'on-primary': '#1c1b19', 'on-background': '#ece5d8', 'on-surface': '#ece5d8' } },
        },
    },
});

watchHand();
createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient }).use(router).use(vuetify).mount('#app');
