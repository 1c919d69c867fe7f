import "@fontsource-variable/figtree";
import "@fontsource-variable/fraunces";
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { QueryClientProvider } from "@tanstack/react-query";
import { createRoot } from "react-dom/client";
import { queries } from "./api/queries";
import { App } from "./app/App";
import { theme } from "./views/theme";

/** The word with which the server lets this page's own styles in. */
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
const styles = createCache({ key: "css", nonce });

createRoot(document.getElementById("root")!).render(
  <CacheProvider value={styles}>
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <QueryClientProvider client={queries}>
        <App />
      </QueryClientProvider>
    </ThemeProvider>
  </CacheProvider>,
);
