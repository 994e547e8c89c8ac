"""Which hits of a clip that was taken apart are meant, and how they are chosen."""

import numpy as np
from numpy.typing import NDArray

from chronotome.dsp.likeness import Likeness
from chronotome.session.edits.clips import Place
from chronotome.session.model import Clip, rearranged
from chronotome.session.slices import SliceId, Slices
from chronotome.ui.state.figures import counted
from chronotome.ui.state.shown import spans_of
from chronotome.ui.state.ui_context import UiContext
from chronotome.units import gain_of
from chronotome.words import tr

LONGEST_HEARD = 4.0
BANDS = ("low", "mid", "high")


class ChosenHits:
    """The chosen hits of the clip that is worked on, and what chooses them."""

    def __init__(self, desk: UiContext) -> None:
        self._desk = desk

    @property
    def _clip(self) -> Clip | None:
        return self._desk.view.chosen.clip

    @property
    def slices(self) -> Slices | None:
        """Those of the clip that is worked on; None where it is whole."""
        clip = self._clip
        return None if clip is None else clip.take.slices

    @property
    def has_chosen(self) -> bool:
        return bool(self._desk.view.chosen.hits)

    def _meant(self, do: str) -> tuple[Place, tuple[SliceId, ...]] | None:
        """The chosen hits, and their clip; says how to choose some where there are none."""
        view = self._desk.view
        place, hits = view.chosen.place, view.chosen.hits
        if place is None or self.slices is None:
            self._desk.say(tr("To {0} hits, slice the clip first (Ctrl+H)", do))
            return None
        if not hits:
            self._desk.say(tr("Select hits to {0}: click one in the wave, or drag along its bottom edge", do))
            return None
        return place, hits

    def _choose(self, which: NDArray[np.bool_], words: str) -> None:
        """Of those that are heard in the clip: its take may be longer."""
        place, slices, spans = self._desk.view.chosen.place, self.slices, spans_of(self._desk.shown)
        if place is not None and slices is not None and spans is not None:
            found = slices.id_array[which & spans.heard].tolist()
            self._desk.view.chosen.choose_hits(place, found)
            self._desk.say(tr("{0} selected: {1}", counted(len(found), "hit"), words))

    def _traits(self) -> tuple[NDArray[np.int64], NDArray[np.float64]] | None:
        """Band and level of each hit by its first onset; -1 and NaN where it has none."""
        session, clip, slices = self._desk.session, self._clip, self.slices
        if clip is None or slices is None:
            self._desk.say(tr("Slice the clip first (Ctrl+H)"))
            return None
        laid = rearranged(session.recording_with(clip.recording), slices)
        bands, levels = np.full(len(slices), -1), np.full(len(slices), np.nan)
        onsets = laid.recording.onsets
        order = np.flatnonzero(laid.owners >= 0)[::-1]  # the first onset of each comes last, and stays
        bands[laid.owners[order]] = onsets.band_array[order]
        levels[laid.owners[order]] = onsets.level_array[order]
        return bands, levels

    @property
    def _has_hit(self) -> NDArray[np.bool_]:
        """Which slices hold an onset: what is before the first one is no hit. All, where none does."""
        traits = self._traits()
        has = np.zeros(0, bool) if traits is None else traits[0] >= 0
        return has if has.any() else np.ones(len(has), bool)

    def choose_all(self) -> None:
        if self.slices is not None:
            self._choose(self._has_hit, tr("all"))

    def choose_others(self) -> None:
        slices = self.slices
        if slices is not None:
            is_other = ~np.isin(slices.id_array, self._desk.view.chosen.hits)
            self._choose(is_other & self._has_hit, tr("inverted selection"))

    def choose_band(self, band: int) -> None:
        traits = self._traits()
        if traits is not None:
            self._choose(traits[0] == band, tr("{0} band", tr(BANDS[band])))

    def ask_louder(self) -> None:
        """All hits that are as loud as is said, in dB below the loudest, or louder."""
        traits = self._traits()
        if traits is None or np.isnan(traits[1]).all():
            return
        below = self._desk.ask.number(
            tr("Select hits"),
            tr("Select hits at most this many dB below the loudest:"),
            12.0,
            0.0,
            90.0,
            1,
        )
        if below is not None:
            loudest = float(np.nanmax(traits[1]))
            with np.errstate(invalid="ignore"):
                self._choose(traits[1] >= loudest - below, tr("at most {0:g} dB below the loudest", below))

    def ask_every(self) -> None:
        slices = self.slices
        if self._traits() is None or slices is None:
            return
        every = self._desk.ask.whole(
            tr("Select hits"),
            tr("Select every nth hit, from the selected one on. n:"),
            2,
            2,
            64,
        )
        if every is not None:
            at = slices.at(self._desk.view.chosen.hits)
            first = at[0] % every if at else 0
            self._choose(np.arange(len(slices)) % every == first, tr("every {0} hits", every))

    def choose_alike(self) -> None:
        """All that are the same sound as a chosen one, by their spectra."""
        meant = self._meant(tr("compare"))
        clip, slices = self._clip, self.slices
        if meant is None or clip is None or slices is None:
            return
        at, place = np.array(slices.at(meant[1])), meant[0]

        def then(likeness: Likeness) -> None:
            if self.slices is not slices:
                return
            spans = spans_of(self._desk.shown)
            heard = np.ones(len(slices), np.bool_) if spans is None else spans.heard
            ids = slices.id_array

            def found(within: float) -> list[SliceId]:
                return ids[likeness.alike(at, within) & heard].tolist()

            self._desk.ask.alike(self._desk, place, found)

        self._desk.likenesses.hear(clip.recording, slices, then)

    def step(self, by: int, *, is_extending: bool = False) -> None:
        """Choose the next or previous hit; from nothing, the one at the playhead."""
        shown, place, slices = self._desk.shown, self._desk.view.chosen.place, self.slices
        if shown is None or place is None or slices is None or shown.plan.sliced is None or not len(slices):
            return
        starts, hits = shown.plan.sliced.starts, self._desk.view.chosen.hits
        order = np.argsort(starts, kind="stable")
        at = slices.at(hits[-1:])
        if at:
            number = int(np.flatnonzero(order == at[0])[0]) + by
        else:
            later = int(starts[order].searchsorted(self._desk.transport.position - 1))
            number = later if by > 0 else later - 1
        number = min(max(number, 0), len(order) - 1)
        own = slices.ids[int(order[number])]
        kept = tuple(each for each in hits if each != own) if is_extending else ()
        self._desk.view.chosen.choose_hits(place, (*kept, own))
        self._desk.view.sight.center_on(float(starts[order[number]]))
        if not self._desk.transport.is_playing:
            self._desk.transport.go_to(float(starts[order[number]]))

    def hear(self, which: SliceId) -> None:
        """Let a hit sound as it was recorded, over whatever plays."""
        shown, slices = self._desk.shown, self.slices
        source = None if shown is None else self._desk.recordings.pool.get(shown.recording.content)
        if shown is None or slices is None or source is None or not slices.at([which]):
            return
        at, ratio = slices.at([which])[0], source.rate / shown.recording.rate
        start, end = round(slices.starts[at] * ratio), round(slices.ends[at] * ratio)
        end = min(end, start + round(LONGEST_HEARD * source.rate))
        self._desk.transport.hear(source.region, start, end, gain_of(shown.track.level))

    def hear_chosen(self) -> None:
        meant = self._meant(tr("play"))
        if meant is not None:
            self.hear(meant[1][-1])
