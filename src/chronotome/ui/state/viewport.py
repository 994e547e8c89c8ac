"""Which part of the session is on screen: plain arithmetic, no Qt."""

from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

Places = NDArray[np.float64] | NDArray[np.int64]
CLOSEST = 0.05
"""Frames per pixel at the deepest zoom."""
MARGIN = 0.05
BEYOND = 1 / 3
"""Of what is shown, the room behind the end: something is to be put there."""


@dataclass(frozen=True)
class Viewport:
    """A span of session frames over a width in pixels.

    Invariants: `frames_per_pixel` is positive; `width` at least 1. `start` may be
    negative: before the session.
    """

    start: float = 0.0
    frames_per_pixel: float = 1000.0
    width: int = 800

    @property
    def end(self) -> float:
        return self.start + self.width * self.frames_per_pixel

    def x_of(self, frame: float) -> float:
        return (frame - self.start) / self.frames_per_pixel

    def xs_of(self, frames: Places) -> NDArray[np.float64]:
        return (frames.astype(np.float64) - self.start) / self.frames_per_pixel

    def frame_of(self, x: float) -> float:
        return self.start + x * self.frames_per_pixel

    def edges(self, scale: float = 1.0) -> NDArray[np.float64]:
        """Frames at the edges of pixel columns, `scale` columns a pixel; shape (columns + 1,)."""
        columns = max(1, int(self.width * scale))
        places = np.arange(columns + 1, dtype=np.float64)
        return np.asarray(self.start + places * (self.frames_per_pixel / scale), np.float64)

    def zoomed(self, factor: float, x: float, total: int) -> "Viewport":
        """`factor` times closer, the frame under `x` staying there."""
        widest = max(1.0, total * (1 + BEYOND + MARGIN) / self.width)
        per_pixel = min(widest, max(CLOSEST, self.frames_per_pixel / factor))
        anchor = self.frame_of(x)
        return replace(self, start=anchor - x * per_pixel, frames_per_pixel=per_pixel).held(total)

    def scrolled(self, pixels: float, total: int) -> "Viewport":
        return replace(self, start=self.start + pixels * self.frames_per_pixel).held(total)

    def held(self, total: int) -> "Viewport":
        """Not farther before the session than a margin, nor behind its end than a third of the view."""
        span = self.width * self.frames_per_pixel
        margin = MARGIN * span
        latest = max(-margin, total + BEYOND * span - span)
        return replace(self, start=max(-margin, min(self.start, latest)))

    def fitted(self, first: float, last: float) -> "Viewport":
        """Showing a span with a little room at both sides."""
        length = max(1.0, last - first)
        per_pixel = max(CLOSEST, length * (1 + 2 * MARGIN) / self.width)
        return replace(self, start=first - MARGIN * length, frames_per_pixel=per_pixel)

    def widened(self, share: float) -> "Viewport":
        """The same zoom, by so much of the width more at either side."""
        more = round(self.width * share)
        start = self.start - more * self.frames_per_pixel
        return replace(self, start=start, width=self.width + 2 * more)

    def covers(self, other: "Viewport", *, stretched: float) -> bool:
        """Whether an image of this shows all of another, stretched by no more than that."""
        ratio = self.frames_per_pixel / other.frames_per_pixel
        slack = 1e-6 * other.width * other.frames_per_pixel
        is_near = 1 / stretched - 1e-9 <= ratio <= stretched + 1e-9
        return is_near and self.start - slack <= other.start and other.end <= self.end + slack

    def resized(self, width: int) -> "Viewport":
        return replace(self, width=max(1, width))

    def at_rate(self, ratio: float) -> "Viewport":
        """Showing the same span where a second has so many times the frames."""
        return replace(self, start=self.start * ratio, frames_per_pixel=self.frames_per_pixel * ratio)

    def following(self, frame: float) -> "Viewport":
        """Turned like a page, so that a playhead stays in sight."""
        if self.start <= frame < self.end:
            return self
        return replace(self, start=frame - MARGIN * self.width * self.frames_per_pixel)
