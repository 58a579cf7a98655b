import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';

export default ts.config(
    { ignores: ['public/**', 'vendor/**', 'node_modules/**', 'storage/**', 'resources/ts/generated/**'] },
    ...ts.configs.strict,
    ...vue.configs['flat/recommended'],
    { files: ['**/*.vue'], languageOptions: { parserOptions: { parser: ts.parser } } },
    {
        rules: {
            'vue/html-indent': ['error', 4],
            'vue/max-attributes-per-line': 'off',
            'vue/singleline-html-element-content-newline': 'off',
            'vue/html-self-closing': 'off',
            'vue/multi-word-component-names': 'off',
            'vue/first-attribute-linebreak': 'off',
            'vue/html-closing-bracket-newline': 'off',
            'vue/attributes-order': 'off',
            // What main.ts registers for all; anything else that is not imported would show as nothing.
            'vue/no-undef-components': ['error', { ignorePatterns: ['router-(link|view)', 'v-(app|btn|color-picker|virtual-scroll|dialog|menu|progress-linear|text-field)'] }],
            'max-lines': ['error', { max: 400 }],
        },
    },
);
