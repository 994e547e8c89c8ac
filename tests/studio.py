"""Sessions with sound, without a window."""

import numpy as np

from chronotome.dsp.overview import Overview
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import ClipPlan, Plan, TrackPlan, plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.anchors import Anchors, Window
from chronotome.session.model import Recording, Session
from chronotome.session.score import Score
from sounds import noise_hits
from strategies import RATE

BLOCK = 1000


class Studio:
    """Sessions with sound."""

    def __init__(self) -> None:
        self.arena = Arena()
        self.renderer = Renderer(self.arena)
        self.sources: dict[str, Source] = {}

    def load(self, recording: Recording, *, seed: int = 1) -> None:
        frames = list(recording.onsets.frames)
        samples = noise_hits(frames, recording.frames, rate=RATE, channels=recording.channels, seed=seed)
        self.put(recording.content, samples)

    def heard(self, session: Session, side: Side = Side.EDITED) -> np.ndarray:
        for recording in session.recordings:
            if recording.content not in self.sources:
                self.load(recording)
        return self._read(plan_for(session), side)

    def put(self, content: str, samples: np.ndarray) -> None:
        """Other sound than a session's."""
        region = self.arena.allocate(*samples.shape)
        region.samples[:] = samples
        self.sources[content] = Source(content, region, RATE, Overview(len(samples)))
        self.sources[content].finish()

    def played(self, score: Score) -> np.ndarray:
        """A score by itself, all of it."""
        heard, source = (score.heard[0], score.until[-1]), (score.start.min(), score.end.max())
        window = Window(*map(int, (*heard, *source)))
        anchors = Anchors(np.array([0, 1]), np.array([0, 1]), 0)
        clip = ClipPlan(1, score, window, anchors, 1.0, (window.first, window.last))
        return self._read(Plan(score.rate, window.end, (TrackPlan(1.0, (clip,)),)), Side.EDITED)

    def _read(self, plan: Plan, side: Side) -> np.ndarray:
        mix = render_mix(self.renderer, plan, self.sources)
        offline = OfflineMix(mix, self.arena)
        blocks = [offline.read(at, min(BLOCK, mix.frames - at), side) for at in range(0, mix.frames, BLOCK)]
        return np.concatenate(blocks)  # block by block, as a player does
