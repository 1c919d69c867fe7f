import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

/** The layers, lowest first: an import points down only. */
const LAYERS = ["api", "store", "tools", "views", "app"];

/** The rooms of a layer, in an order in which each takes only from those before it. */
const ROOMS = {
  tools: [
    "bringIn",
    "carry",
    "draft",
    "handover",
    "propose",
    "select",
    "typing",
    "aim",
    "clipboard",
    "verbs",
  ],
  views: [
    "fields",
    "handover",
    "history",
    "paper",
    "caption",
    "carry",
    "handling",
    "layers",
    "schedule",
    "verbs",
    "catalog",
    "shell",
    "drawings",
    "start",
  ],
};

const down = (files, patterns) => ({
  files,
  rules: { "no-restricted-imports": ["error", { patterns }] },
});

const above = (layer) => {
  const higher = LAYERS.slice(LAYERS.indexOf(layer) + 1).join("|");
  return { regex: `^(\\.\\./)+(${higher})/`, message: `${layer} takes nothing from the layers above it.` };
};

const layers = LAYERS.slice(0, -1).map((layer) => down([`src/${layer}/**`], [above(layer)]));

const rooms = Object.entries(ROOMS).flatMap(([layer, order]) =>
  order.slice(0, -1).map((room, i) =>
    down(
      [`src/${layer}/${room}/**`],
      [
        above(layer),
        {
          regex: `^\\.\\./(${order.slice(i + 1).join("|")})/`,
          message: `${room} takes nothing from the rooms after it.`,
        },
      ],
    ),
  ),
);

export default tseslint.config(
  { ignores: ["tools/", "dist", "node_modules", "src/api/types.gen.ts", "*.js", "*.ts"] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    files: ["src/**/*.{ts,tsx}"],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { "react-hooks": hooks },
    rules: {
      "react-hooks/rules-of-hooks": "error",
      "react-hooks/exhaustive-deps": "error",
      // event handlers of elements may be asynchronous; nobody waits for them
      "@typescript-eslint/no-misused-promises": ["error", { checksVoidReturn: { attributes: false } }],
    },
  },
  ...layers,
  ...rooms,
);
