"""The recordings' samples at the session's rate, found by content."""

from dataclasses import dataclass, field
from functools import cached_property

import numpy as np

from chronotome.dsp.audio import Samples
from chronotome.dsp.mute_span import quiet_place
from chronotome.dsp.overview import Overview
from chronotome.render.arena import Region
from chronotome.session.limits import ContentHash

SUMMED_AT_ONCE = 1 << 14
"""Samples that one sum in single precision takes."""


@dataclass(eq=False)
class Source:
    """One recording's samples, at the rate of the session; still being read while `is_whole` is False."""

    content: ContentHash
    region: Region
    rate: int
    overview: Overview
    is_whole: bool = False
    energy: float = 0.0
    roughest: float = 1e-9
    """The loudest second difference of what was read for it, up to `rough_until`."""
    rough_until: int = 0

    def finish(self) -> None:
        """All is read: take the energy, which level matching needs."""
        flat = self.region.samples.reshape(-1)
        blocks = (flat[start : start + SUMMED_AT_ONCE] for start in range(0, len(flat), SUMMED_AT_ONCE))
        self.energy = float(sum(float(np.dot(block, block)) for block in blocks))
        self.is_whole = True

    @cached_property
    def room(self) -> Samples:
        """Where the recording is quietest: its room tone. To be asked for once all is read."""
        start, end = quiet_place(self.region.samples, self.rate)
        return np.array(self.region.samples[start:end])


@dataclass(eq=False)
class Pool:
    """Sources by content. The interface thread adds; workers read a snapshot."""

    sources: dict[ContentHash, Source] = field(default_factory=dict)

    def add(self, source: Source) -> None:
        self.sources[source.content] = source

    def get(self, content: ContentHash) -> Source | None:
        return self.sources.get(content)

    def ready(self) -> dict[ContentHash, Source]:
        """Those that are read to their end."""
        return {content: source for content, source in self.sources.items() if source.is_whole}
