import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

const LIBRARIES = /node_modules\/(react|react-dom|react-router|scheduler)\//;

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    // A strict content policy allows no data: scripts or fonts.
    assetsInlineLimit: 0,
    rollupOptions: {
      output: {
        manualChunks: (id: string) => (LIBRARIES.test(id) ? "react" : undefined),
      },
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:8080" } },
});
