import globals from 'globals';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

// What oxlint lacks: the rules by which React's compiler understands components. All others are in .oxlintrc.json.
export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/'] },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    languageOptions: { globals: globals.browser, parser: tseslint.parser },
    rules: { ...reactHooks.configs.recommended.rules },
    linterOptions: { reportUnusedDisableDirectives: 'off' },
  },
);
