import Box from "@mui/material/Box";
import Popper from "@mui/material/Popper";
import Typography from "@mui/material/Typography";
import { useTheme } from "@mui/material/styles";
import { Canvas, useThree } from "@react-three/fiber";
import { useEffect, useRef } from "react";
import type { Group, OrthographicCamera } from "three";
import type { ArticleCard } from "../../api/types.gen";
import { materialOf } from "../surface/materials";
import { useShape } from "../paper/shapes";
import { mountingWords } from "./mounting";

/** An article looked at closely before it is placed: turning, with its measures and what it asks for. */
export function Preview({ article, anchor }: { article: ArticleCard; anchor: HTMLElement }) {
  const { palette } = useTheme();
  const { light, weight, room, finishes } = article;
  const facts = [
    article.sizingText,
    mountingWords(article),
    weight > 0 ? `${weight} kg` : "",
    light ? `${light.lumens} lm, ${light.kelvin} K` : "",
    ...room,
  ].filter((f) => f !== "");
  return (
    <Popper open anchorEl={anchor} placement="right-start" sx={{ zIndex: 5, pointerEvents: "none" }}>
      <Box
        data-testid="preview"
        sx={{
          ml: 1,
          width: 250,
          bgcolor: "background.paper",
          border: 1,
          borderColor: "text.secondary",
          boxShadow: "0 2px 10px rgba(38,34,30,.18)",
        }}
      >
        <Box sx={{ height: 190 }}>
          <Canvas frameloop="demand" flat orthographic style={{ background: palette.background.paper }}>
            <hemisphereLight args={["#FFFDF8", "#E6D9C4", 2.3]} />
            <directionalLight position={[-3, 6, 5]} intensity={1.5} color="#FFF3DF" />
            <Turning article={article} />
          </Canvas>
        </Box>
        <Box sx={{ p: 1.25, pt: 0.5 }}>
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {article.name}
          </Typography>
          <Typography variant="body2" sx={{ color: "primary.main", fontWeight: 600 }}>
            {article.sizeText}
          </Typography>
          {article.about && <Typography variant="caption">{article.about}</Typography>}
          <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2, fontSize: 12, color: "text.secondary" }}>
            {facts.map((f) => (
              <li key={f}>{f}</li>
            ))}
          </Box>
          <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, mt: 0.75 }}>
            {Object.entries(finishes).map(([part, f]) => (
              <Box key={part} sx={{ display: "flex", alignItems: "center", gap: 0.5, fontSize: 12 }}>
                <Box
                  sx={{
                    width: 12,
                    height: 12,
                    bgcolor: f.appearance.colour,
                    border: 1,
                    borderColor: "text.secondary",
                  }}
                />
                {f.name}
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
    </Popper>
  );
}

/** Degrees a step, and milliseconds between steps: a slow turn that software can draw. */
const STEP = 4;
const PAUSE = 130;

function Turning({ article }: { article: ArticleCard }) {
  const parts = useShape({ article: article.id, size: article.size }, false, true)?.parts;
  const group = useRef<Group>(null);
  const { camera, size, invalidate } = useThree();
  const { width: w, depth: d, height: h } = article.size;
  useEffect(() => {
    const across = Math.hypot(w, d);
    const eye = camera as OrthographicCamera;
    eye.zoom = 0.82 * Math.min(size.width / across, size.height / (h + across * 0.4));
    eye.position.set(0, h / 2 + 20 * 0.4, 20);
    eye.near = 0.1;
    eye.far = 60 + h + across;
    eye.lookAt(0, h / 2, 0);
    eye.updateProjectionMatrix();
    invalidate();
  }, [camera, size, w, d, h, parts, invalidate]);
  useEffect(() => {
    const turn = setInterval(() => {
      if (group.current) group.current.rotation.y += (STEP * Math.PI) / 180;
      invalidate();
    }, PAUSE);
    return () => clearInterval(turn);
  }, [invalidate]);
  return (
    <group ref={group} rotation={[0, 0.45, 0]}>
      {parts?.map((p) => {
        return (
          <mesh
            key={p.name}
            geometry={p.geometry}
            material={materialOf(article.finishes[p.name]?.appearance, { effort: "light", picture: p.map })}
          />
        );
      })}
    </group>
  );
}
