import Box from "@mui/material/Box";
import { useTheme } from "@mui/material/styles";
import { OrbitControls } from "@react-three/drei";
import { Canvas, useThree } from "@react-three/fiber";
import { useCallback, useEffect, useRef, type ComponentRef, type PointerEvent } from "react";
import {
  Box3,
  type Camera,
  type Group,
  type InstancedMesh,
  PCFShadowMap,
  type PerspectiveCamera,
  Raycaster,
  Vector2,
  Vector3,
} from "three";
import type { Shell } from "../api/types.gen";
import { GHOST, pick, placeEdit, putDown, type Where } from "../state/commands";
import { useSheet } from "../state/sheet";
import { giveUp, tryOut } from "../state/trial";
import { DrawingTitle } from "./DrawingTitle";
import { Pieces } from "./Pieces";
import { SelectionMarks } from "./SelectionMarks";
import { ShellModel } from "./ShellModel";

interface Stage {
  camera: Camera;
  pieces: Group | null;
}

/** The set view: the card model in perspective. It draws only when something has changed. */
export function SetView() {
  const { palette } = useTheme();
  const placing = useSheet((s) => s.placing);
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const pieces = useRef<Group>(null);
  const press = useRef<{ x: number; y: number } | null>(null);
  const last = useRef<Where | null>(null);

  const aim = (e: { clientX: number; clientY: number }) => {
    const box = frame.current!.getBoundingClientRect();
    const caster = new Raycaster();
    caster.setFromCamera(
      new Vector2(((e.clientX - box.left) / box.width) * 2 - 1, 1 - ((e.clientY - box.top) / box.height) * 2),
      stage.current!.camera,
    );
    return caster;
  };
  const where = (e: { clientX: number; clientY: number }): Where => {
    const { origin: o, direction: d } = aim(e).ray;
    return { ray: { from: { x: o.x, y: o.y, z: o.z }, along: { x: d.x, y: d.y, z: d.z } } };
  };
  const under = (e: { clientX: number; clientY: number }): string | null => {
    const met = pieces.current ? aim(e).intersectObject(pieces.current, true) : [];
    for (const m of met) {
      const ids = (m.object as InstancedMesh).userData.pieces as string[] | undefined;
      if (ids && m.instanceId !== undefined) return ids[m.instanceId];
    }
    return null;
  };

  useEffect(() => {
    if (placing && last.current) tryOut([placeEdit(placing.article, placing.turn, last.current, GHOST)]);
  }, [placing]);

  const move = (e: PointerEvent) => {
    if (!stage.current) return;
    if (placing && e.buttons <= 1) {
      last.current = where(e);
      tryOut([placeEdit(placing.article, placing.turn, last.current, GHOST)]);
    } else if (e.buttons === 0) {
      useSheet.getState().point(under(e));
    }
  };
  const up = (e: PointerEvent) => {
    const from = press.current;
    press.current = null;
    if (!stage.current || e.button !== 0) return;
    const still = from !== null && Math.hypot(e.clientX - from.x, e.clientY - from.y) <= 4;
    if (placing) {
      // a click, or the end of a drag from the catalog; not the end of turning the view
      if (still || from === null) void putDown(where(e), e.shiftKey);
      return;
    }
    if (!still) return;
    pick(under(e), e);
  };
  const ready = useCallback((camera: Camera) => {
    stage.current = { camera, pieces: pieces.current };
  }, []);

  return (
    <Box
      ref={frame}
      data-testid="set"
      aria-label="Set view"
      sx={{
        flex: 1,
        minWidth: 0,
        position: "relative",
        overflow: "hidden",
        cursor: placing ? "copy" : "default",
      }}
      onPointerDown={(e) => (press.current = { x: e.clientX, y: e.clientY })}
      onPointerMove={move}
      onPointerUp={up}
      onPointerLeave={() => {
        last.current = null;
        if (placing) giveUp();
        else useSheet.getState().point(null);
      }}
    >
      <DrawingTitle text="Set view" />
      <Canvas
        frameloop="demand"
        flat
        shadows={{ type: PCFShadowMap }}
        dpr={[1, 2]}
        camera={{ fov: 36, near: 0.05, far: 200, position: [10, 8, 14] }}
        style={{ background: palette.background.default }}
      >
        <View onReady={ready} />
        <Lights />
        <ShellModel />
        <group ref={pieces}>
          <Pieces />
        </group>
        <SelectionMarks />
      </Canvas>
    </Box>
  );
}

/** The eye: turns round what one looks at, never under the floor. */
function View({ onReady }: { onReady: (camera: Camera) => void }) {
  const camera = useThree((s) => s.camera);
  const size = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  const shell = useSheet((s) => s.space!.shell);
  const fit = useSheet((s) => s.fit);
  const controls = useRef<ComponentRef<typeof OrbitControls>>(null);
  useEffect(() => onReady(camera), [camera, onReady]);
  const aspect = size.width / Math.max(1, size.height);
  const done = useRef({ at: -1, aspect: 0 });
  useEffect(() => {
    const asked = done.current.at !== fit.at;
    if (!controls.current || (!asked && Math.abs(done.current.aspect - aspect) < 0.15)) return;
    done.current = { at: fit.at, aspect };
    const { selection, pieces } = useSheet.getState();
    const chosen = selection.map((id) => pieces.get(id)).filter((p) => p !== undefined);
    const target = controls.current.target;
    if (fit.what === "selection" && chosen.length > 0) {
      const lead = chosen[chosen.length - 1];
      const away = camera.position.clone().sub(target).normalize();
      const reach = Math.max(lead.size.width, lead.size.depth, lead.size.height) * 2.2 + 1.2;
      target.set(lead.at.x, lead.at.y + lead.size.height / 2, lead.at.z);
      camera.position.copy(target).addScaledVector(away, reach);
    } else {
      frameRoom(camera as PerspectiveCamera, target, shell, aspect);
    }
    controls.current.update();
    invalidate();
  }, [fit, aspect, shell, camera, invalidate]);
  return (
    <OrbitControls
      ref={controls}
      makeDefault
      enableDamping={false}
      maxPolarAngle={Math.PI / 2 - 0.02}
      minDistance={0.4}
      maxDistance={60}
      zoomToCursor
    />
  );
}

/** Steps back, in the usual direction, until the whole room is in the picture. */
function frameRoom(camera: PerspectiveCamera, target: Vector3, shell: Shell, aspect: number) {
  const box = new Box3().setFromPoints(
    shell.outline.flatMap((p) => [new Vector3(p.x, 0, p.z), new Vector3(p.x, shell.height, p.z)]),
  );
  box.getCenter(target);
  camera.aspect = aspect;
  camera.updateProjectionMatrix();
  const away = new Vector3(0.42, 0.6, 0.86).normalize();
  for (let reach = 2; reach < 300; reach *= 1.04) {
    camera.position.copy(target).addScaledVector(away, reach);
    camera.lookAt(target);
    camera.updateMatrixWorld();
    const inside = shell.outline.every((p) =>
      [0, shell.height].every((y) => {
        const q = new Vector3(p.x, y, p.z).project(camera);
        return Math.abs(q.x) < 0.95 && Math.abs(q.y) < 0.93 && q.z < 1;
      }),
    );
    if (inside) return;
  }
}

/** Daylight from the upper left front and a soft sky; shadows are drawn anew only when things change. */
function Lights() {
  const { gl, invalidate } = useThree();
  const shell = useSheet((s) => s.space!.shell);
  const pieces = useSheet((s) => s.pieces);
  const ghosts = useSheet((s) => s.ghosts);
  const xs = shell.outline.map((p) => p.x);
  const zs = shell.outline.map((p) => p.z);
  const centre: [number, number, number] = [
    (Math.min(...xs) + Math.max(...xs)) / 2,
    0,
    (Math.min(...zs) + Math.max(...zs)) / 2,
  ];
  const half = Math.hypot(Math.max(...xs) - Math.min(...xs), Math.max(...zs) - Math.min(...zs)) / 2 + 0.5;
  useEffect(() => {
    gl.shadowMap.autoUpdate = false;
  }, [gl]);
  useEffect(() => {
    gl.shadowMap.needsUpdate = true;
    invalidate();
  }, [gl, invalidate, pieces, ghosts]);
  return (
    <>
      <hemisphereLight args={["#FFFDF8", "#E6D9C4", 2.25]} />
      <directionalLight
        castShadow
        position={[centre[0] - 3.2, 9, centre[2] + 4.5]}
        target-position={centre}
        intensity={1.35}
        color="#FFF3DF"
        shadow-mapSize={[2048, 2048]}
        shadow-camera-left={-half}
        shadow-camera-right={half}
        shadow-camera-top={half}
        shadow-camera-bottom={-half}
        shadow-camera-far={30}
        shadow-bias={-0.0004}
        shadow-normalBias={0.012}
        shadow-radius={5}
      />
    </>
  );
}
