"""What keys and menus do to the hits of a clip that was taken apart."""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import count

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.session.counting import clock_of
from chronotome.session.edits.clips import Place
from chronotome.session.edits.hits import (
    beats_of,
    clip_at,
    copy,
    cut_slice,
    delete,
    glue,
    move,
    move_by_time,
    scale_time,
    shuffle,
    swap,
    turn_order,
)
from chronotome.session.edits.recordings import bring_recording
from chronotome.session.edits.rhythm import paste_hits, set_crossover, share_bands
from chronotome.session.edits.shaping import (
    set_fills,
)
from chronotome.session.edits.slicing import At, Cuts, keep_whole_copy, make_whole, take_apart
from chronotome.session.grid import nearest_lines
from chronotome.session.model import Recording, Session
from chronotome.session.slices import MOST_SLICES, SliceId, Slices
from chronotome.ui.commands.shaping import ShapedHits
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

USUAL_CROSSOVER = 250.0
TIMES = 64
"""That hits can be repeated at once."""


@dataclass(frozen=True, eq=False)
class KeptHits:
    """Hits that were cut or copied."""

    recording: Recording
    slices: Slices


class SliceCommands(ShapedHits):
    """One method for each thing that can be done to hits, or to choose them."""

    def __init__(self, desk: UiContext) -> None:
        super().__init__(desk)
        self.kept: KeptHits | None = None
        self._seeds = count(1)

    def _choose_new(self, place: Place, before: Sequence[SliceId]) -> None:
        """What was made by an edit is chosen."""
        slices = self.slices
        if slices is not None:
            new = set(slices.ids) - set(before)
            self._desk.view.chosen.choose_hits(place, (each for each in slices.ids if each in new))

    # Apart and whole

    def take_apart(self, cuts: Cuts, words: str) -> None:
        """Of the range that was swept, where there is one."""
        view, place = self._desk.view, self._desk.view.chosen.place
        if place is None:
            self._desk.say(tr("Select a clip to slice first"))
            return
        if self._desk.refuses_pattern(view.chosen.clip):
            return
        if self.slices is not None:
            self._desk.say(tr("Already sliced. X splits a hit, Ctrl+Shift+H removes the slicing."))
            return
        span = view.chosen.range
        if span is not None and place[0] in span.tracks:
            cuts = Cuts(cuts.at, cuts.step, cuts.parts, (span.start, span.end))
        self._desk.store.apply(lambda session: take_apart(session, place, cuts), tr("Slice clip {0}", words))
        slices = self.slices
        if slices is None:
            self._desk.say(tr("Cannot split here: one part would be empty"))
            return
        view.chosen.choose_hits(place, ())
        self._desk.likenesses.listen(self._desk.session.track(place[0]).clip(place[1]).recording, slices)
        self._desk.say(
            tr("{0}, sounding as before. Press A to hear the clip as played.", counted(len(slices), "hit"))
        )

    def at_onsets(self) -> None:
        self.take_apart(Cuts(), tr("at onsets"))

    def at_marks(self) -> None:
        self.take_apart(Cuts(At.MARKS), tr("at hand-set onsets"))

    def at_lines(self, step: float | None = None) -> None:
        """Lines so many quarter notes apart; of the grid that is shown, where none is said."""
        self.take_apart(Cuts(At.LINES, step=step or self._desk.view.grid.step), tr("on grid lines"))

    def at_bars(self) -> None:
        self.take_apart(Cuts(At.LINES, step=0.0), tr("at every bar"))

    def ask_parts(self) -> None:
        parts = self._desk.ask.whole(tr("Slice clip"), tr("Number of equal parts:"), 8, 2, 1024)
        if parts is not None:
            self.take_apart(Cuts(At.PARTS, parts=parts), tr("in {0} parts", parts))

    def make_whole(self) -> None:
        """The recording as it was before it was taken apart."""
        place = self._desk.view.chosen.place
        if place is None or self.slices is None:
            self._desk.say(tr("Not sliced yet"))
            return
        self._desk.store.apply(lambda session: make_whole(session, place), tr("Remove slicing"))

    def keep_copy(self) -> None:
        place = self._desk.view.chosen.place
        if place is not None:
            self._desk.store.apply(
                lambda session: (
                    keep_whole_copy(make_whole(session, place), place)
                    if self.slices is not None
                    else keep_whole_copy(session, place)
                ),
                tr("Keep original, muted"),
            )

    def toggle_fills(self) -> None:
        place, slices = self._desk.view.chosen.place, self.slices
        if place is None or slices is None:
            self._desk.say(tr("Slice the clip first (Ctrl+H)"))
            return
        fills = not slices.fills
        label = tr("Fill gaps with tails") if fills else tr("Leave gaps silent")
        self._desk.store.apply(lambda session: set_fills(session, place, fills=fills), label)

    @property
    def fills(self) -> bool:
        slices = self.slices
        return slices is not None and slices.fills

    # Places

    def delete(self, *, is_closed: bool = False) -> None:
        label = tr("Delete {} and close gap") if is_closed else tr("Delete {}")
        self._edit(
            "delete", label, lambda session, place, hits: delete(session, place, hits, is_closed=is_closed)
        )

    def duplicate(self) -> None:
        """Once more right after themselves."""
        self._repeat(1)

    def ask_repeats(self) -> None:
        """Over so many bars on."""
        if self._meant(tr("repeat")) is None:
            return
        bars = self._desk.ask.whole(tr("Repeat hits"), tr("Number of further bars:"), 1, 1, TIMES)
        if bars is not None:
            here, metre = self._desk.session.beat_of(self._desk.transport.position), self._desk.session.metre
            beats = metre.bars_from(here, bars) - here
            self._repeat(max(1, int(beats / self._length() + 1e-6)))

    def _repeat(self, times: int) -> None:
        meant, slices = self._meant(tr("duplicate")), self.slices
        if meant is None or slices is None:
            return
        (place, hits), beats = meant, self._length()
        label = tr("Duplicate {0}", counted(len(hits), "hit"))
        self._desk.store.apply(lambda session: copy(session, place, hits, beats, min(times, TIMES)), label)
        made = 0 if self.slices is None else len(self.slices) - len(slices)
        if made < len(hits) * min(times, TIMES):
            self._desk.say(tr("A clip holds at most {0:,} hits. Added {1:,}.", MOST_SLICES, made))
        self._choose_new(place, slices.ids)

    def _length(self) -> float:
        """Beats after which the chosen hits come again: whole steps of the grid that hold all of them."""
        session, clip, slices = self._desk.session, self._clip, self.slices
        step = self._desk.view.grid.step
        if clip is None or slices is None:
            return step
        at, beats = slices.at(self._desk.view.chosen.hits), beats_of(session, clip.take)
        if not at:
            return step
        clock = clock_of(session, clip.take)
        after = float(clock.beats_at(slices.place_array[at[-1:]] + slices.spans[at[-1:]])[0])
        if at[-1] + 1 < len(beats):
            after = min(after, float(beats[at[-1] + 1]))
        span = max(after, float(beats[at].max())) - float(beats[at].min())
        return max(step, round(span / step) * step)

    def keep(self, *, is_cut: bool = False) -> None:
        """Remember the chosen hits for pasting."""
        meant, clip, slices = self._meant(tr("cut") if is_cut else tr("copy")), self._clip, self.slices
        if meant is None or clip is None or slices is None:
            return
        recording = self._desk.session.recording_with(clip.recording)
        self.kept = KeptHits(recording, slices.only(slices.at(meant[1])))
        if is_cut:
            self._edit(tr("cut"), tr("Cut {}"), delete)
        self._desk.say(
            tr("{0} copied. Press Ctrl+V to paste at the playhead.", counted(len(meant[1]), "hit"))
        )

    def paste(self) -> None:
        """Lay what was cut or copied at the playhead: in the clip of its recording, else on the track."""
        desk, kept, track = self._desk, self.kept, self._desk.view.chosen.focused
        if kept is None or track is None:
            desk.say(tr("Clipboard is empty. Copy hits with Ctrl+C."))
            return
        here, place = round(desk.transport.position), desk.view.chosen.place
        before = () if self.slices is None else self.slices.ids
        recording, track_id = desk.recordings.renamed(kept.recording), track.id
        is_known = any(each.content == recording.content for each in desk.session.recordings)
        file = desk.recordings.places.get(recording.content)
        if not is_known and file is None:
            desk.say(tr("Cannot paste: {0} is missing from this session", recording.file))
            return
        found: list[Place] = []

        def edit(session: Session) -> Session:
            session = bring_recording(session, recording)
            session, where = paste_hits(session, place, track_id, recording.content, kept.slices, here)
            found[:] = [where]
            return session

        desk.store.apply(edit, tr("Paste {0}", counted(len(kept.slices), "hit")))
        if not is_known and file is not None:
            desk.recordings.bring(recording.content, file)
        where = found[0]
        clip = desk.session.track(where[0]).clip(where[1])
        known = set(before) if where == place else set[SliceId]()
        ids = () if clip.take.slices is None else clip.take.slices.ids
        desk.view.chosen.choose_hits(where, (each for each in ids if each not in known))

    def by_line(self, step: int) -> None:
        """Move the chosen hits to the next or previous line of the grid that is shown."""
        meant, clip, slices, view = self._meant(tr("move")), self._clip, self.slices, self._desk.view
        if meant is None or clip is None or slices is None:
            return
        now = float(beats_of(self._desk.session, clip.take)[slices.at(meant[1])[0]])
        wanted = np.array([now + step * view.grid.step])
        line = float(nearest_lines(wanted, view.grid, self._desk.session.metre)[0])
        self._edit("move", tr("Move {}"), lambda session, place, hits: move(session, place, hits, line - now))

    def nudge(self, milliseconds: float) -> None:
        seconds = milliseconds / 1000
        self._edit(
            "move", tr("Move {}"), lambda session, place, hits: move_by_time(session, place, hits, seconds)
        )

    def swap(self) -> None:
        meant = self._meant(tr("swap"))
        if meant is None:
            return
        if len(meant[1]) != 2:
            self._desk.say(tr("To swap hits, select two: Shift+click adds one"))
            return
        self._edit("swap", tr("Swap two hits"), lambda session, place, hits: swap(session, place, *hits))

    def shuffle(self) -> None:
        seed = next(self._seeds)
        self._edit(
            "shuffle", tr("Shuffle {}"), lambda session, place, hits: shuffle(session, place, hits, seed)
        )

    def turn_order(self) -> None:
        self._edit(tr("reorder"), tr("Reverse order of {}"), turn_order)

    def scale_time(self, factor: float, *, stretches: bool = False) -> None:
        label = tr("Double time of {}") if factor < 1 else tr("Half time of {}")
        self._edit(
            "move",
            label,
            lambda session, place, hits: scale_time(session, place, hits, factor, stretches=stretches),
        )

    def glue(self) -> None:
        before = 0 if self.slices is None else len(self.slices)
        self._edit("glue", tr("Join {}"), glue)
        if self.slices is not None and self._desk.view.chosen.hits and len(self.slices) == before:
            self._desk.say(tr("Only hits that follow each other in the recording can be joined"))

    def cut_here(self) -> None:
        """Cut the hit under the playhead in two."""
        place, position = self._desk.view.chosen.place, self._desk.transport.position
        if place is not None:
            self._desk.store.apply(lambda session: cut_slice(session, place, position), tr("Split hit"))

    # Another rhythm

    @property
    def others(self) -> list[Place]:
        """All clips but the one that is worked on."""
        place = self._desk.view.chosen.place
        return [
            (track.id, clip.id) for track, clip in self._desk.session.clips if (track.id, clip.id) != place
        ]

    def ask_rhythm(self) -> None:
        """Put the chosen hits, or all, on the hits of another clip."""
        place, slices = self._desk.view.chosen.place, self.slices
        if place is None or slices is None:
            self._desk.say(tr("To copy a rhythm, slice the clip first (Ctrl+H)"))
            return
        others = [(each, self.name_of(each)) for each in self.others]
        if not others:
            self._desk.say(tr("Copying a rhythm needs a second clip"))
            return
        hits = self._desk.view.chosen.hits or slices.ids
        self._desk.ask.rhythm(self._desk, place, hits, others)

    def name_of(self, place: Place) -> str:
        track = self._desk.session.track(place[0])
        number = [each.id for each in track.clips].index(place[1]) + 1
        name = track.clip(place[1]).name or track.name
        return tr("{0} · clip {1}", name, number) if len(track.clips) > 1 else name

    def ask_bands(self) -> None:
        """The lows of this clip with the highs of another one."""
        place, others = self._desk.view.chosen.place, self.others
        if place is None or not others:
            self._desk.say(tr("Combining bands needs a second clip"))
            return
        names = [self.name_of(each) for each in others]
        name = self._desk.ask.one_of(tr("Combine lows and highs"), tr("Take high band from:"), names)
        if name is None:
            return
        hertz = self._desk.ask.number(
            tr("Combine lows and highs"),
            tr("Crossover frequency (Hz):"),
            USUAL_CROSSOVER,
            20.0,
            20_000.0,
            0,
        )
        if hertz is not None:
            self.share_bands(others[names.index(name)], hertz)

    def share_bands(self, other: Place, hertz: float) -> None:
        """The lows of this clip with the highs of another."""
        place, clip = self._desk.view.chosen.place, self._desk.view.chosen.clip
        if place is not None and not self._desk.refuses_pattern(clip, clip_at(self._desk.session, other)):
            self._desk.store.apply(
                lambda session: share_bands(session, place, other, hertz),
                tr("Lows of this clip, highs of {0}", self.name_of(other)),
            )

    def all_bands(self) -> None:
        place = self._desk.view.chosen.place
        if place is not None:
            edit: Edit = lambda session: set_crossover(session, place, None)  # noqa: E731 - typed
            self._desk.store.apply(edit, tr("Restore all bands"))
