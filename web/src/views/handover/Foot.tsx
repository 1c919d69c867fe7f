import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { stopMaking, useHandover } from "../../tools/handover/handover";

/** The address of the file, how far it is made, and what saves it. */
export function Foot({ address, does }: { address: string; does: () => void }) {
  const { made, failed } = useHandover();
  const [copied, setCopied] = useState(false);
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        px: 2.5,
        py: 1.25,
        borderTop: 1,
        borderColor: "divider",
      }}
    >
      <Button
        size="small"
        color="inherit"
        onClick={() => {
          void navigator.clipboard?.writeText(location.origin + address);
          setCopied(true);
        }}
      >
        {copied ? "Copied" : "Copy its address"}
      </Button>
      <Typography
        noWrap
        variant="caption"
        color="text.secondary"
        data-testid="handover-address"
        sx={{ flex: 1 }}
        title={address}
      >
        {address}
      </Typography>
      {failed && (
        <Typography role="alert" color="error" variant="body2">
          {failed}
        </Typography>
      )}
      {made && (
        <>
          <LinearProgress
            variant="determinate"
            value={100 * made.share}
            sx={{ width: 160 }}
            aria-label="How far it is made"
          />
          <Button onClick={stopMaking}>Stop</Button>
        </>
      )}
      <Button variant="contained" disabled={made !== null} onClick={does}>
        Save the file
      </Button>
    </Box>
  );
}
