"""Sessions with sound, without a window."""

import numpy as np

from chronotome.dsp.overview import Overview
from chronotome.render.arena import Arena
from chronotome.render.mix import Side
from chronotome.render.plan import plan_for
from chronotome.render.pool import Source
from chronotome.render.renderer import OfflineMix, Renderer, render_mix
from chronotome.session.model import Recording, Session
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
        region = self.arena.allocate(*samples.shape)
        region.samples[:] = samples
        source = Source(recording.content, region, RATE, Overview(len(samples)))
        source.finish()
        self.sources[recording.content] = source

    def heard(self, session: Session, side: Side = Side.EDITED) -> np.ndarray:
        for recording in session.recordings:
            if recording.content not in self.sources:
                self.load(recording)
        mix = render_mix(self.renderer, plan_for(session), self.sources)
        offline = OfflineMix(mix, self.arena)
        blocks = [offline.read(at, min(BLOCK, mix.frames - at), side) for at in range(0, mix.frames, BLOCK)]
        return np.concatenate(blocks)  # block by block, as a player does
