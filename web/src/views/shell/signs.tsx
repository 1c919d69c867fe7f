import { useTheme } from "@mui/material/styles";

/** What is built, as a drawing office draws it on a plan. */
const SIGNS: Record<string, string> = {
  outline: "M3 4H17V10H11V16H3Z",
  partition: "M3 10H17M3 8.5V11.5M17 8.5V11.5",
  any: "M4 5L14 4L17 11L9 16L4 12Z",
  door: "M3 15V4M3 4A11 11 0 0 1 14 15M1 15H3M14 15H18",
  doubleDoor: "M2 13V6M2 6A7 7 0 0 1 9.5 13M18 13V6M18 6A7 7 0 0 0 10.5 13",
  slidingDoor: "M2 9H11M9 12H18M5 6H8M6.5 4.5L8 6L6.5 7.5",
  window: "M2 7H18M2 10H18M2 13H18M2 7V13M18 7V13",
  opening: "M2 8H6V12H2M18 8H14V12H18M6 10H14",
  niche: "M2 6H18M2 14H6V10H14V14H18",
  column: "M6 6H14V14H6ZM6 6L14 14M14 6L6 14",
  platform: "M3 6H17V14H3ZM3 14V16H17V14",
  steps: "M4 4V16M8 4V16M12 4V16M16 4V16M4 4H16M4 16H16M14 10H6M8 8L6 10L8 12",
  ramp: "M4 4H16V16H4ZM14 10H6M8 8L6 10L8 12",
  bar: "M2 9H18M2 11H18M6 11V15M14 11V15",
  datum: "M10 3V17M3 10H17M5.5 10A4.5 4.5 0 1 0 14.5 10A4.5 4.5 0 1 0 5.5 10",
};

export function Sign({ name }: { name: string }) {
  const { palette } = useTheme();
  return (
    <svg width={20} height={20} aria-hidden style={{ flex: "none" }}>
      <path
        d={SIGNS[name]}
        fill="none"
        stroke={palette.text.primary}
        strokeWidth={1.25}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
