import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import {
  DirectionalLight,
  Group,
  HemisphereLight,
  Mesh,
  OrthographicCamera,
  Scene,
  WebGLRenderer,
} from "three";
import { api } from "../../api/client";
import type { ArticleCard, PartLook, Size } from "../../api/types.gen";
import { materialOf } from "../surface/materials";
import { fetchShape, type Part } from "../paper/shapes";

const WIDTH = 156;
const HEIGHT = 132;
const FIGURE: Size = { width: 0.5, depth: 0.3, height: 1.75 };
/** Scales the sheet keeps to, pixels a metre: the largest at which an article and the figure fit. */
const SCALES = [58, 34, 20, 12, 4];
/** Smaller things stand without the figure, so many pixels a metre. */
const SMALL = 260;

function group(parts: Part[], finishes: { [part: string]: PartLook }): Group {
  const g = new Group();
  parts.forEach((p) => {
    const material = materialOf(finishes[p.name]?.appearance, { effort: "light", picture: p.map });
    g.add(new Mesh(p.geometry, material));
  });
  return g;
}

/** Draws every article at natural size into a picture, one renderer for all. */
async function draw(articles: ArticleCard[], paper: string, done: (id: string, picture: string) => void) {
  const renderer = new WebGLRenderer({ antialias: true, preserveDrawingBuffer: true });
  renderer.setSize(WIDTH, HEIGHT);
  renderer.setClearColor(paper);
  const figure = group((await fetchShape({ article: "standing-figure", size: FIGURE })).parts, {});
  for (const a of articles) {
    const scene = new Scene();
    scene.add(new HemisphereLight("#FFFDF8", "#E6D9C4", 2.3));
    const sun = new DirectionalLight("#FFF3DF", 1.5);
    sun.position.set(-3, 6, 5);
    scene.add(sun);
    const { width: w, depth: d, height: h } = a.size;
    // how far below its middle the nearest corner of the underside is seen from this direction
    const drop = 0.15 * (w / 2 + 0.31) + 0.33 * (d / 2);
    const seen = { w: w + d * 0.5, h: h + d * 0.35 };
    const small = Math.max(seen.w, seen.h) < 0.42;
    const beside = small ? 0 : 0.62;
    const scale = small
      ? SMALL
      : (SCALES.find(
          (s) => (seen.w + beside) * s < WIDTH - 6 && Math.max(seen.h, 1.85 + drop) * s < HEIGHT - 8,
        ) ?? SCALES[SCALES.length - 1]);
    const own = group((await fetchShape({ article: a.id, size: a.size })).parts, a.finishes);
    const up =
      a.mounting === "hangs"
        ? Math.max(0, Math.min(2.6, (HEIGHT - 22) / scale) - seen.h)
        : a.mounting === "wall"
          ? Math.max(0, Math.min(1.1, (HEIGHT - 22) / scale - seen.h))
          : 0;
    own.position.set(beside / 2, small ? 0 : up, 0);
    scene.add(own);
    if (!small) {
      figure.position.set(-seen.w / 2, 0, 0);
      scene.add(figure);
    }
    const half = { w: WIDTH / 2 / scale, h: HEIGHT / 2 / scale };
    const camera = new OrthographicCamera(-half.w, half.w, half.h, -half.h, -60, 60);
    const middle = small ? h / 2 : (half.h - drop - 5 / scale) / 0.93;
    camera.position.set(0.45, 0.42 + middle, 1);
    camera.lookAt(0, middle, 0);
    renderer.render(scene, camera);
    done(a.id, renderer.domElement.toDataURL());
  }
  renderer.dispose();
}

/** All articles on one sheet, beside the standing figure, to look through or to print. */
export function ContactSheet() {
  const { palette } = useTheme();
  const [pictures, setPictures] = useState<Map<string, string>>(new Map());
  const catalog = useQuery({
    queryKey: ["catalog", "", "", "m"],
    queryFn: () => api.catalog("", "", "m", ""),
  });
  const articles = catalog.data?.articles;
  const paper = palette.background.paper;
  useEffect(() => {
    if (!articles) return;
    let over = false;
    const shown = new Map<string, string>();
    void draw(articles, paper, (id, picture) => {
      shown.set(id, picture);
      if (!over && (shown.size % 8 === 0 || shown.size === articles.length)) setPictures(new Map(shown));
    });
    return () => {
      over = true;
    };
  }, [articles, paper]);
  if (!articles) return <LinearProgress color="secondary" />;
  const sorted = [...articles].sort((a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name));
  return (
    <Box
      sx={{ height: "100vh", overflowY: "auto", p: 1 }}
      data-testid="contact-sheet"
      data-drawn={pictures.size}
    >
      <Typography variant="h1" sx={{ px: 1, pb: 1 }}>
        All articles: {articles.length}
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap" }}>
        {sorted.map((a) => (
          <Box key={a.id} sx={{ width: WIDTH, border: 1, borderColor: "divider", m: "-0.5px" }}>
            {pictures.has(a.id) && (
              <img
                src={pictures.get(a.id)}
                width={WIDTH - 2}
                height={HEIGHT}
                alt=""
                style={{ display: "block" }}
              />
            )}
            <Typography
              variant="caption"
              noWrap
              sx={{ display: "block", px: 0.5, fontWeight: 600, lineHeight: 1.3 }}
            >
              {a.name}
            </Typography>
            <Typography
              variant="caption"
              color="text.secondary"
              noWrap
              sx={{ display: "block", px: 0.5, lineHeight: 1.3 }}
            >
              {a.sizeText}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
