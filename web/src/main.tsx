import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./App";
import { Problem } from "./api/client";
import "./tokens.css";

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // What the server has refused, it refuses again.
      retry: (count, error) => !(error instanceof Problem) && count < 3,
    },
  },
});

const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <App />
      </QueryClientProvider>
    </StrictMode>,
  );
}
