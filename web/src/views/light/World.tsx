import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { useMemo } from "react";
import { feature } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import land from "world-atlas/land-110m.json";

type Ring = [number, number][];

/** Outlines of the land, degrees, from open data (Natural Earth). */
function rings(): Ring[] {
  const world = land as unknown as Topology<{ land: GeometryCollection }>;
  return feature(world, world.objects.land).features.flatMap(({ geometry }) =>
    geometry.type === "MultiPolygon"
      ? (geometry.coordinates.flat() as Ring[])
      : geometry.type === "Polygon"
        ? (geometry.coordinates as Ring[])
        : [],
  );
}

/** A small outline of the world: a click says where. A degree is a unit, east to the right. */
export function World(props: {
  latitude: number;
  longitude: number;
  choose: (latitude: number, longitude: number) => void;
}) {
  const { palette } = useTheme();
  const path = useMemo(
    () => rings().map((r) => "M" + r.map(([x, y]) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join("L") + "Z"),
    [],
  );
  return (
    <Box sx={{ mt: 0.5, border: 1, borderColor: "divider", lineHeight: 0 }}>
      <svg
        viewBox="-180 -84 360 148"
        role="img"
        aria-label="The world: click where it stands"
        style={{ width: "100%", cursor: "crosshair" }}
        onClick={(e) => {
          const box = e.currentTarget.getBoundingClientRect();
          const x = -180 + ((e.clientX - box.left) / box.width) * 360;
          const y = -84 + ((e.clientY - box.top) / box.height) * 148;
          props.choose(Math.round(-y * 10) / 10, Math.round(x * 10) / 10);
        }}
      >
        <path d={path.join("")} fill={palette.divider} stroke="none" />
        <circle cx={props.longitude} cy={-props.latitude} r={3.4} fill={palette.secondary.main} />
      </svg>
    </Box>
  );
}
