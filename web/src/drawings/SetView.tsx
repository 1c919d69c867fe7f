import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import { useTheme, type Theme } from "@mui/material/styles";
import { OrbitControls } from "@react-three/drei";
import { Canvas, useFrame, useThree } from "@react-three/fiber";
import {
  useCallback,
  useEffect,
  useRef,
  useState,
  type ComponentRef,
  type PointerEvent,
  type RefObject,
} from "react";
import {
  Box3,
  type Camera,
  type Group,
  type InstancedMesh,
  Matrix4,
  PCFShadowMap,
  type PerspectiveCamera,
  Raycaster,
  Vector2,
  Vector3,
} from "three";
import { api } from "../api/client";
import type { Shell, Vec } from "../api/types.gen";
import { dropCarry, pickUp, pointCarry, putDownCarry, useCarry, type Pointer } from "../state/carry";
import { aimAt, pick } from "../state/commands";
import { lookAt, lookAtPlan, nearest } from "../state/facing";
import { useSheet } from "../state/sheet";
import { DrawingTitle } from "./DrawingTitle";
import { Pieces } from "./Pieces";
import { SelectionMarks } from "./SelectionMarks";
import { ShellModel } from "./ShellModel";
import { HOLD, picksUp } from "./usePress";

interface Stage {
  camera: Camera;
  controls: { enabled: boolean } | null;
}

/** A press: where, and where on a selected piece it took hold, if it did. */
interface Press {
  x: number;
  y: number;
  hold: Vec | null;
  carries: boolean;
}

/** The set view: the card model in perspective. It draws only when something has changed. */
export function SetView({ small = false }: { small?: boolean }) {
  const { palette } = useTheme();
  const carrying = useCarry((s) => s.hand !== null);
  const frame = useRef<HTMLDivElement>(null);
  const stage = useRef<Stage | null>(null);
  const pieces = useRef<Group>(null);
  const shell = useRef<Group>(null);
  const press = useRef<Press | null>(null);

  const aim = (e: { clientX: number; clientY: number }) => {
    const box = frame.current!.getBoundingClientRect();
    const caster = new Raycaster();
    caster.setFromCamera(
      new Vector2(((e.clientX - box.left) / box.width) * 2 - 1, 1 - ((e.clientY - box.top) / box.height) * 2),
      stage.current!.camera,
    );
    return caster;
  };
  const where = (e: { clientX: number; clientY: number }): Pointer => {
    const { origin: o, direction: d } = aim(e).ray;
    const ray = { from: { x: o.x, y: o.y, z: o.z }, along: { x: d.x, y: d.y, z: d.z } };
    // how large the pixels are that count, where it is carried
    const { mark } = useCarry.getState().answer ?? { mark: null };
    const camera = stage.current!.camera as PerspectiveCamera;
    const away = mark ? o.distanceTo(new Vector3(mark.x, mark.y, mark.z)) : 6;
    const metre = (2 * away * Math.tan((camera.fov * Math.PI) / 360)) / frame.current!.clientHeight;
    return { ray, near: HOLD * metre };
  };
  /** The piece under the pointer, or else the part of the shell. */
  const under = (e: {
    clientX: number;
    clientY: number;
  }): { piece: string | null; part: string | null; point?: Vector3 } => {
    const caster = aim(e);
    const met = pieces.current ? caster.intersectObject(pieces.current, true) : [];
    const first = met.find((m) => (m.object as InstancedMesh).userData.pieces && m.instanceId !== undefined);
    const walls = (shell.current?.children ?? []).filter((n) => n.visible && n.name.includes(":"));
    const wall = caster.intersectObjects(walls, true)[0];
    if (first && !(wall && wall.distance < first.distance)) {
      const piece = (first.object.userData.pieces as string[])[first.instanceId!];
      return { piece, part: null, point: first.point };
    }
    const part = wall?.object.parent?.name ?? null;
    return { piece: null, part: part?.startsWith("skirting:") ? part.replace("skirting:", "wall:") : part };
  };

  /** Takes hold of a selected piece, so that moving on carries it instead of turning the view. */
  const down = (e: PointerEvent) => {
    press.current = { x: e.clientX, y: e.clientY, hold: null, carries: false };
    if (!stage.current || carrying || e.button !== 0 || useSheet.getState().aiming) return;
    if (!(e.target as Element).closest("canvas")) return;
    const met = under(e);
    if (!picksUp(met.piece, e)) return;
    const { x, y, z } = met.point!;
    press.current.hold = { x, y, z };
    if (stage.current.controls) stage.current.controls.enabled = false;
    frame.current!.setPointerCapture(e.pointerId);
  };
  const move = (e: PointerEvent) => {
    if (!stage.current) return;
    const p = press.current;
    const moved = p !== null && Math.hypot(e.clientX - p.x, e.clientY - p.y) > 4;
    if (p?.hold && moved && !p.carries) {
      p.carries = true;
      pickUp(p.hold);
    }
    if (p?.carries) {
      pointCarry(where(e), e.altKey);
    } else if (carrying && (e.buttons === 0 || (e.buttons === 1 && p === null))) {
      pointCarry(where(e), e.altKey); // with free hands, or dragged out of the catalog
    } else if (e.buttons === 0) {
      useSheet.getState().point(under(e).piece);
    }
  };
  const leave = () => {
    press.current = null;
    if (stage.current?.controls) stage.current.controls.enabled = true;
  };
  const up = (e: PointerEvent) => {
    const from = press.current;
    leave();
    if (!stage.current || e.button !== 0) return;
    const still = from !== null && Math.hypot(e.clientX - from.x, e.clientY - from.y) <= 4;
    if (carrying) {
      // a click, or the end of a drag; not the end of turning the view
      if (still || from === null || from.carries) {
        pointCarry(where(e), e.altKey);
        void putDownCarry(e.shiftKey);
      }
      return;
    }
    if (!still) return;
    if (from.hold) {
      pickUp(from.hold);
      return;
    }
    const met = under(e);
    if (useSheet.getState().aiming) void aimAt(met.piece);
    else if (met.part) useSheet.getState().selectPart(met.part);
    else pick(met.piece, e);
  };
  const facing = () => {
    const m = stage.current!.camera.matrixWorld.elements;
    return { right: nearest({ x: m[0], z: m[2] }), upright: false };
  };
  useEffect(() => lookAtPlan, []);
  const ready = useCallback((camera: Camera, controls: Stage["controls"]) => {
    stage.current = { camera, controls };
  }, []);

  const canvas = (
    <Canvas
      frameloop="demand"
      flat
      shadows={small ? false : { type: PCFShadowMap }}
      dpr={small ? 1 : [1, 2]}
      camera={{ fov: OUTSIDE, near: 0.05, far: 300, position: [10, 8, 14] }}
      style={{ background: palette.background.default }}
    >
      <View onReady={ready} small={small} />
      <Lights />
      <group ref={shell}>
        <ShellModel small={small} />
      </group>
      <group ref={pieces}>
        <Pieces />
      </group>
      {!small && <SelectionMarks />}
    </Canvas>
  );
  if (small) return canvas;
  return (
    <Box
      ref={frame}
      data-testid="set"
      aria-label="Set view"
      sx={{
        flex: 1,
        minWidth: 0,
        minHeight: 0,
        position: "relative",
        overflow: "hidden",
        cursor: carrying ? "grabbing" : "default",
      }}
      onPointerEnter={() => stage.current && lookAt(facing)}
      onPointerDownCapture={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={() => {
        if (press.current?.carries) dropCarry();
        leave();
      }}
      onPointerLeave={() => useSheet.getState().point(null)}
    >
      <DrawingTitle name="set">
        <Looking />
      </DrawingTitle>
      {canvas}
    </Box>
  );
}

/** Angle of view, degrees: of one who looks at a model, and of one who stands in the space. */
const OUTSIDE = 36;
const INSIDE = 58;

/** The eye: turns round what one looks at, never under the floor; or walks at eye height. */
function View({
  onReady,
  small,
}: {
  onReady: (camera: Camera, controls: Stage["controls"]) => void;
  small: boolean;
}) {
  const camera = useThree((s) => s.camera) as PerspectiveCamera;
  const size = useThree((s) => s.size);
  const invalidate = useThree((s) => s.invalidate);
  const shell = useSheet((s) => s.space!.shell);
  const fit = useSheet((s) => s.fit);
  const viewpoint = useSheet((s) => s.viewpoint);
  const walking = useSheet((s) => s.walking);
  const controls = useRef<ComponentRef<typeof OrbitControls>>(null);
  useEffect(() => onReady(camera, controls.current), [camera, onReady]);
  const aspect = size.width / Math.max(1, size.height);

  // shows the whole at first and when asked to, and what is selected
  const done = useRef({ at: -1, aspect: 0 });
  useEffect(() => {
    const asked = done.current.at !== fit.at;
    const target = controls.current?.target ?? new Vector3();
    if (!small && !controls.current) return;
    const first = done.current.at === -1;
    if (!asked && Math.abs(done.current.aspect - aspect) < 0.15) return;
    done.current = { at: fit.at, aspect };
    if (!asked && !first && camera.fov === INSIDE) return;
    const { selection, pieces } = useSheet.getState();
    const chosen = selection.map((id) => pieces.get(id)).filter((p) => p !== undefined);
    camera.fov = OUTSIDE;
    if (fit.what === "selection" && chosen.length > 0 && !small) {
      const lead = chosen[chosen.length - 1];
      const away = camera.position.clone().sub(target).normalize();
      const reach = Math.max(lead.size.width, lead.size.depth, lead.size.height) * 2.2 + 1.2;
      target.set(lead.at.x, lead.at.y + lead.size.height / 2, lead.at.z);
      camera.position.copy(target).addScaledVector(away, reach);
      camera.updateProjectionMatrix();
    } else {
      frameRoom(camera, target, shell, aspect, shell.stage ? FROM_HOUSE : FROM_CORNER);
    }
    if (small) camera.lookAt(target);
    controls.current?.update();
    invalidate();
  }, [fit, aspect, shell, camera, invalidate, small]);

  const seen = useRef(0);
  useEffect(() => {
    if (small || !viewpoint || !controls.current || seen.current === viewpoint.at) return;
    seen.current = viewpoint.at;
    const { eye, target: at, fits } = viewpoint.view;
    const target = controls.current.target;
    if (fits) {
      camera.fov = OUTSIDE;
      const away = new Vector3(eye.x - at.x, eye.y - at.y, eye.z - at.z).normalize();
      frameRoom(camera, target, shell, aspect, away);
    } else {
      camera.fov = INSIDE;
      camera.position.set(eye.x, eye.y, eye.z);
      target.set(at.x, at.y, at.z);
      camera.updateProjectionMatrix();
    }
    controls.current.update();
    invalidate();
  }, [viewpoint, aspect, shell, camera, invalidate, small]);

  // how the space is seen, for those who read the page: columns of the matrix from metres to the picture
  useFrame(({ gl }) => {
    if (small) return;
    const m = new Matrix4().multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);
    gl.domElement.dataset.view = m.elements.join(" ");
  });

  useWalk(walking && !small, camera, controls);
  if (small) return null;
  return (
    <OrbitControls
      ref={controls}
      makeDefault
      enableDamping={false}
      enableZoom={!walking}
      enablePan={!walking}
      maxPolarAngle={walking ? Math.PI - 0.3 : Math.PI / 2 - 0.02}
      minDistance={walking ? 0 : 0.4}
      maxDistance={120}
      zoomToCursor
    />
  );
}

/** Height of the eye of somebody standing, metres; as the ready-made viewpoints have it. */
const EYE = 1.6;
const STEP = 0.4;
const TURN = Math.PI / 18;

/** Arrows walk and turn at eye height over whatever floor there is; core says how high that is. */
function useWalk(
  walking: boolean,
  camera: PerspectiveCamera,
  controls: RefObject<ComponentRef<typeof OrbitControls> | null>,
) {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => {
    const { space, walk, say } = useSheet.getState();
    if (!walking || !space || !controls.current) return;
    const target = controls.current.target;
    const ahead = new Vector3();
    /** Looks from the eye itself: what one turns about lies just before it. */
    const stand = (x: number, z: number, floor: number) => {
      camera.position.set(x, floor + EYE, z);
      target.copy(camera.position).addScaledVector(ahead, 0.02);
      camera.fov = INSIDE;
      camera.updateProjectionMatrix();
      controls.current?.update();
      invalidate();
    };
    const go = async (x: number, z: number) => {
      const { y } = await api.floor(space.id, x, z);
      if (y !== null && y !== undefined) stand(x, z, y);
      return y !== null && y !== undefined;
    };
    camera.getWorldDirection(ahead).setY(0).normalize();
    void (async () => {
      const from = camera.position.clone();
      // where one stands now, else what one looked at, else the first corner that one can stand in
      const corner = space.viewpoints.find((v) => v.group === "corners");
      if (!(await go(from.x, from.z)) && !(await go(target.x, target.z)) && corner) {
        ahead.set(corner.target.x - corner.eye.x, 0, corner.target.z - corner.eye.z).normalize();
        if (!(await go(corner.eye.x, corner.eye.z))) {
          say("There is no floor to walk on.", "refused");
          walk(false);
        }
      }
    })();
    const press = (e: KeyboardEvent) => {
      if ((e.target as HTMLElement).closest("input, textarea, [role=dialog], [role=menu]")) return;
      camera.getWorldDirection(ahead).setY(0).normalize();
      const { x, y, z } = camera.position;
      const steps: Record<string, () => void> = {
        ArrowUp: () => void go(x + ahead.x * STEP, z + ahead.z * STEP),
        ArrowDown: () => void go(x - ahead.x * STEP, z - ahead.z * STEP),
        ArrowLeft: () => {
          ahead.applyAxisAngle(new Vector3(0, 1, 0), TURN);
          stand(x, z, y - EYE);
        },
        ArrowRight: () => {
          ahead.applyAxisAngle(new Vector3(0, 1, 0), -TURN);
          stand(x, z, y - EYE);
        },
        Escape: () => walk(false),
      };
      if (!steps[e.key]) return;
      e.preventDefault();
      e.stopPropagation();
      steps[e.key]();
    };
    addEventListener("keydown", press, true);
    return () => removeEventListener("keydown", press, true);
  }, [walking, camera, controls, invalidate]);
}

/** Where to look from, the ceiling, and walking. */
function Looking() {
  const viewpoints = useSheet((s) => s.space!.viewpoints);
  const lifted = useSheet((s) => s.lifted);
  const walking = useSheet((s) => s.walking);
  const stage = useSheet((s) => Boolean(s.space!.shell.stage));
  const { goTo, lift, walk, look } = useSheet.getState();
  const [at, setAt] = useState<HTMLElement | null>(null);
  const button = (on: boolean) => ({
    fontSize: 12,
    lineHeight: "20px",
    px: 0.75,
    borderRadius: 0.5,
    color: on ? "text.primary" : "text.secondary",
    bgcolor: on ? "background.paper" : "background.default",
    boxShadow: on ? (t: Theme) => `inset 0 -2px ${t.palette.secondary.main}` : undefined,
    "&:hover, &:focus-visible": { color: "text.primary", bgcolor: "background.paper" },
  });
  const off = lifted.includes("ceiling");
  return (
    <>
      <ButtonBase aria-haspopup="menu" onClick={(e) => setAt(e.currentTarget)} sx={button(false)}>
        look from&nbsp;<span aria-hidden>▾</span>
      </ButtonBase>
      <ButtonBase aria-pressed={!off} onClick={() => lift("ceiling", !off)} sx={button(!off)}>
        {stage ? "grid on" : "ceiling on"}
      </ButtonBase>
      <ButtonBase aria-pressed={walking} onClick={() => walk(!walking)} sx={button(walking)}>
        {walking ? "walking: arrows, Esc ends" : "walk"}
      </ButtonBase>
      <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
        <MenuItem
          dense
          onClick={() => {
            setAt(null);
            look("home");
          }}
        >
          Home
        </MenuItem>
        {viewpoints.map((v, i) => (
          <MenuItem
            key={v.name}
            dense
            divider={viewpoints[i + 1] !== undefined && viewpoints[i + 1].group !== v.group}
            onClick={() => {
              setAt(null);
              goTo(v);
            }}
          >
            {v.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

/** Directions from which one looks at first: into a room over its corner, at a stage from the house. */
const FROM_CORNER = new Vector3(0.42, 0.6, 0.86).normalize();
const FROM_HOUSE = new Vector3(0.28, 0.34, 0.9).normalize();

/** Steps back in a direction until the whole space is in the picture. */
function frameRoom(camera: PerspectiveCamera, target: Vector3, shell: Shell, aspect: number, away: Vector3) {
  const corners = shell.outline.flatMap((p) => [
    new Vector3(p.x, 0, p.z),
    new Vector3(p.x, shell.height, p.z),
  ]);
  const box = new Box3().setFromPoints(corners);
  box.getCenter(target);
  camera.aspect = aspect;
  camera.updateProjectionMatrix();
  for (let reach = 2; reach < 300; reach *= 1.04) {
    camera.position.copy(target).addScaledVector(away, reach);
    camera.lookAt(target);
    camera.updateMatrixWorld();
    const inside = corners.every((p) => {
      const q = p.clone().project(camera);
      return Math.abs(q.x) < 0.95 && Math.abs(q.y) < 0.93 && q.z < 1;
    });
    if (inside) return;
  }
}

/** Between two frames, seconds: what is slow, and what is a pause; and how long something rests, ms. */
const SLOW = 0.08;
const PAUSE = 0.8;
const REST = 250;

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
  // where frames are slow, shadows wait until what is carried rests
  const slow = useRef(false);
  useFrame((_, seconds) => {
    if (seconds < PAUSE) slow.current = seconds > SLOW;
  });
  useEffect(() => {
    const draw = () => {
      gl.shadowMap.needsUpdate = true;
      invalidate();
    };
    if (!slow.current || ghosts.length === 0) {
      draw();
      return;
    }
    const soon = setTimeout(draw, REST);
    return () => clearTimeout(soon);
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
        shadow-camera-far={60}
        shadow-bias={-0.0004}
        shadow-normalBias={0.012}
        shadow-radius={5}
      />
    </>
  );
}
