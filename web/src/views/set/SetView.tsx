import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { Canvas } from "@react-three/fiber";
import { useCallback, useEffect, useRef } from "react";
import { type Camera, type Group, NeutralToneMapping, PCFShadowMap } from "three";
import { useCarry } from "../../tools/carry/carry";
import { BandFigure } from "../drawings/BandFigure";
import { DrawingTitle } from "../drawings/DrawingTitle";
import { lookAt, lookAtPlan } from "../../tools/carry/facing";
import { registerSight } from "../../tools/finish/sights";
import { useSheet } from "../../store/sheet";
import { EffortMenu } from "./EffortMenu";
import { FrameMask } from "./FrameMask";
import { Light } from "./Light";
import { mix, NIGHT } from "./night";
import { useDaylight } from "../../store/useLight";
import { Looking } from "./Looking";
import { Pieces } from "./Pieces";
import { Refine } from "./Refine";
import { SelectionMarks } from "./SelectionMarks";
import { SetHandles } from "./SetHandles";
import { ShellModel } from "./ShellModel";
import { sightIn } from "./sightIn";
import { useSetPress } from "./useSetPress";
import { OUTSIDE } from "../../store/angles";
import { type Stage, View } from "./View";

/** The set view: the card model in perspective. It draws only when something has changed. */
export function SetView({ small = false }: { small?: boolean }) {
  const { palette } = useTheme();
  const carrying = useCarry((s) => s.hand !== null);
  const over = useSheet((s) => s.hover !== null && s.selection.includes(s.hover));
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const pieces = useRef<Group>(null);
  const shell = useRef<Group>(null);

  const sight = sightIn({ frame, stage, pieces, shell });
  const { down, move, up, cancel } = useSetPress(frame, stage, sight);
  useEffect(() => lookAtPlan, []);
  const ready = useCallback((camera: Camera, controls: Stage["controls"]) => {
    stage.current = { camera, controls };
  }, []);

  useEffect(
    () =>
      registerSight("set", (e) =>
        stage.current
          ? {
              ray: sight.pointed(e).ray,
              without: (shell.current?.children ?? []).filter((n) => !n.visible).map((n) => n.name),
            }
          : null,
      ),
    [sight],
  );

  const day = useDaylight();
  const inside = useSheet((s) => s.lit && (s.walking || (s.viewpoint !== null && !s.viewpoint.view.fits)));
  const outside = inside && !small ? mix(NIGHT, palette.background.default, day) : palette.background.default;
  const canvas = (
    <Canvas
      frameloop="demand"
      gl={{ toneMapping: NeutralToneMapping, antialias: small }}
      shadows={small ? false : { type: PCFShadowMap }}
      dpr={small ? 1 : [1, 2]}
      camera={{ fov: OUTSIDE, near: 0.05, far: 300, position: [10, 8, 14] }}
      style={{ background: outside }}
    >
      <View onReady={ready} small={small} />
      <Light small={small} />
      <group ref={shell}>
        <ShellModel small={small} />
      </group>
      <group ref={pieces}>
        <Pieces small={small} />
      </group>
      {!small && <SelectionMarks />}
      {!small && <SetHandles />}
      {!small && <Refine />}
    </Canvas>
  );
  if (small) return canvas;
  return (
    <Box
      ref={frame}
      data-testid="set"
      data-drawing="set"
      aria-label="Set view"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        overflow: "hidden",
        cursor: carrying ? "grabbing" : over ? "grab" : "default",
      }}
      onPointerEnter={() => stage.current && lookAt(sight.facing)}
      onPointerDownCapture={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={cancel}
      onPointerLeave={() => useSheet.getState().point(null)}
    >
      <DrawingTitle name="set">
        <Looking />
        <EffortMenu />
      </DrawingTitle>
      {canvas}
      <FrameMask />
      <BandFigure drawing="set" />
    </Box>
  );
}
