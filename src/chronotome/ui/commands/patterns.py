"""What keys and menus do to patterns."""

from collections.abc import Callable
from itertools import count
from pathlib import Path

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.files.patterns import Saved, is_pattern, read_pattern, write_pattern
from chronotome.session.edits.clips import Place
from chronotome.session.edits.kits import (
    slices_for_keys,
    sound_of,
)
from chronotome.session.edits.patterns import (
    add_layer,
    bring_pattern,
    change_pattern,
    draw_again,
    free_layer,
    keep_round,
    move_steps,
    new_pattern,
    pattern_of_clip,
    play_pattern,
    remove_steps,
    set_beats,
    set_played,
    set_step,
    shape_steps,
    vary,
)
from chronotome.session.kits import Kit, KitId
from chronotome.session.model import Clip, Session, replace
from chronotome.session.patterns import Pattern, StepId
from chronotome.ui.commands.kits import KitCommands
from chronotome.ui.state.figures import counted
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

VARIED = 4
"""Steps that a variation changes."""


class PatternCommands:
    """One method for each thing that can be done to a pattern."""

    def __init__(self, desk: UiContext, kits: KitCommands) -> None:
        self._desk, self.kits = desk, kits
        self._kept: tuple[Pattern, tuple[StepId, ...]] | None = None
        self._seeds = count(1)

    # What is meant

    @property
    def clip(self) -> Clip | None:
        return self._desk.view.chosen.clip

    @property
    def pattern(self) -> Pattern | None:
        """The one that the clip plays that is worked on."""
        return self._desk.pattern

    @property
    def kit(self) -> Kit | None:
        return self.kits.kit

    @property
    def is_here(self) -> bool:
        return self.pattern is not None

    def _with_pattern(self, do: Callable[[Place, Pattern], Edit], label: str) -> None:
        place, pattern = self._desk.view.chosen.place, self.pattern
        if place is None or pattern is None:
            self._desk.say(tr("The clip plays no pattern. Convert it with Ctrl+P."))
            return
        self._desk.store.apply(do(place, pattern), label)

    def _with_steps(self, do: Callable[[Pattern, tuple[StepId, ...]], Edit], label: str) -> None:
        pattern, steps = self.pattern, self._desk.view.chosen.steps
        if pattern is None or not steps:
            self._desk.say(tr("Select steps first: click one in the pattern"))
            return
        self._desk.store.apply(do(pattern, steps), label.format(counted(len(steps), "step")))

    # Patterns

    def write_recording(self) -> None:
        """A pattern that is the clip, on a track of its own below it."""
        place, before = self._desk.view.chosen.place, len(self._desk.session.patterns)
        if place is None or self.is_here:
            self._desk.say(
                tr("The clip already plays a pattern")
                if self.is_here
                else tr("Select a clip to convert first")
            )
            return
        hits, kit = self._desk.view.chosen.hits, self._kit_for(place)
        words = (
            tr("Convert {0} to pattern", counted(len(hits), "hit")) if hits else tr("Convert clip to pattern")
        )
        self._desk.store.apply(lambda session: pattern_of_clip(session, place, kit, hits), words)
        session = self._desk.session
        if len(session.patterns) == before:
            self._desk.say(tr("No hits for a pattern. Detect onsets first."))
            return
        pattern = session.patterns[-1]
        self.show(pattern)
        self._desk.say(
            tr("{0}, sounding like the clip. The track of the clip is muted.", counted(len(pattern), "step"))
        )

    def _kit_for(self, place: Place) -> KitId | None:
        """The kit at hand, where all that is meant is on its keys already."""
        kit, session = self.kit, self._desk.session
        if kit is None:
            return None
        known = {sound_of(each) for each in kit.slices}
        pieces = slices_for_keys(session, place, self._desk.view.chosen.hits)
        return kit.id if all(sound_of(each) in known for each in pieces) else None

    def show(self, pattern: Pattern) -> None:
        """The clip that plays a pattern comes into the tall lane."""
        for track, clip in self._desk.session.clips:
            if clip.take.playing is not None and clip.take.playing.pattern == pattern.id:
                self._desk.view.chosen.choose_hits((track.id, clip.id), ())
                return

    def write_empty(self) -> None:
        """A bar without a step, of the kit, on a new track; on the track itself where it plays patterns."""
        kit, session = self.kit, self._desk.session
        if kit is None:
            self._desk.say(tr("No kit yet. Create one from the hits of a clip with Ctrl+U."))
            return
        track = self._desk.view.chosen.focused if self.is_here else None
        number, here = kit.id, self.bar_here()
        where = None if track is None else track.id
        if track is not None:
            here = max((self._end_of(clip) for clip in track.clips), default=here)
        bar = session.metre.bar_length(here)

        def edit(session: Session) -> Session:
            session = new_pattern(session, number, bar)
            return play_pattern(session, where, session.patterns[-1].id, here, bar)

        self._desk.store.apply(edit, tr("New pattern"))
        self.show(self._desk.session.patterns[-1])

    def _end_of(self, clip: Clip) -> float:
        beats = 0.0 if clip.take.playing is None else clip.take.playing.beats
        return clip.take.beat + beats

    def bar_here(self) -> float:
        """The bar line before the playhead."""
        session = self._desk.session
        line = session.metre.bar_start(session.beat_of(self._desk.transport.position))
        return line if session.frame_of(line) >= 0 else max(0.0, session.metre.bars_from(line, 1))

    def play_again(self) -> None:
        """The same pattern once more, after the last clip of the track."""
        track = self._desk.view.chosen.focused

        def edit(place: Place, pattern: Pattern) -> Edit:
            end = max(self._end_of(clip) for clip in track.clips) if track is not None else 0.0
            return lambda session: play_pattern(session, place[0], pattern.id, end)

        self._with_pattern(edit, tr("Repeat pattern clip"))

    def longer(self, times: float) -> None:
        """The length of one round."""

        def edit(_place: Place, pattern: Pattern) -> Edit:
            return lambda session: set_beats(session, pattern.id, pattern.beats * times)

        self._with_pattern(edit, tr("Double pattern length") if times > 1 else tr("Halve pattern length"))

    def set_beats(self, beats: float) -> None:
        self._with_pattern(
            lambda _place, pattern: lambda session: set_beats(session, pattern.id, beats),
            tr("Set pattern length"),
        )

    def set_rounds(self, rounds: float) -> None:
        """How many times the clip plays it."""
        self._with_pattern(
            lambda place, pattern: lambda session: set_played(session, place, rounds * pattern.beats),
            tr("Set pattern cycles"),
        )

    def more_rounds(self, by: int) -> None:
        clip, pattern = self.clip, self.pattern
        if clip is not None and pattern is not None and clip.take.playing is not None:
            rounds = clip.take.playing.beats / pattern.beats
            self.set_rounds(max(1.0, np.floor(rounds + by + 1e-6)))

    def draw_again(self) -> None:
        self._with_pattern(
            lambda _place, pattern: lambda session: draw_again(session, pattern.id), tr("Redraw chance")
        )

    def keep_round(self) -> None:
        """What chance gave in the round under the playhead, as fixed steps."""
        session, here = self._desk.session, self._desk.transport.position

        def edit(place: Place, pattern: Pattern) -> Edit:
            take = session.track(place[0]).clip(place[1]).take
            along = session.beat_of(here) - take.beat
            beats = pattern.beats if take.playing is None else take.playing.beats
            last = max(0, int(np.ceil(beats / pattern.beats - 1e-6)) - 1)
            number = min(last, max(0, int(along // pattern.beats)))
            return lambda session: keep_round(session, place, number)

        self._with_pattern(edit, tr("Keep this cycle"))

    def vary(self) -> None:
        seed = next(self._seeds)
        self._with_pattern(
            lambda place, _pattern: lambda session: vary(session, place, VARIED, seed), tr("Vary pattern")
        )
        if self.pattern is not None:
            self._desk.say(tr("Created pattern “{0}”. The old one stays in the list.", self.pattern.name))

    def play_other(self, number: int) -> None:
        """Another pattern in the clip."""

        def edit(place: Place, _pattern: Pattern) -> Edit:
            def change(session: Session) -> Session:
                track = session.track(place[0])
                old = track.clip(place[1]).take
                if old.playing is None:
                    return session
                new = replace(old, playing=replace(old.playing, pattern=number, kit=0))
                name = session.pattern(number).name
                clips = tuple(
                    replace(each, take=new, name=name) if each.take is old else each for each in track.clips
                )
                tracks = (replace(each, clips=clips) if each is track else each for each in session.tracks)
                return replace(session, tracks=tuple(tracks))

            return change

        self._with_pattern(edit, tr("Change pattern"))

    def rename(self, name: str) -> None:
        if name.strip():
            self._with_pattern(
                lambda _place, pattern: (
                    lambda session: change_pattern(
                        session, pattern.id, lambda old: replace(old, name=name.strip()[:200])
                    )
                ),
                tr("Rename pattern"),
            )

    def layer(self, semitones: float) -> None:
        """The track once more, higher or lower, as long as it is not set free."""
        track = self._desk.view.chosen.focused
        if track is None or not self.is_here:
            self._desk.say(tr("The track plays no pattern. Convert a clip with Ctrl+P."))
            return
        if track.layer is not None:
            self._desk.say(tr("Cannot add a layer to a layer. Detach it first."))
            return
        number = track.id
        self._desk.store.apply(lambda session: add_layer(session, number, semitones), tr("Add layer"))

    def free(self) -> None:
        track = self._desk.view.chosen.focused
        if track is None or track.layer is None:
            self._desk.say(tr("This track is not a layer"))
            return
        number = track.id
        self._desk.store.apply(lambda session: free_layer(session, number), tr("Detach layer"))

    # Steps

    def delete(self) -> None:
        self._with_steps(
            lambda pattern, steps: lambda session: remove_steps(session, pattern.id, steps), tr("Delete {}")
        )

    def choose_all(self) -> None:
        place, pattern = self._desk.view.chosen.place, self.pattern
        if place is not None and pattern is not None:
            self._desk.view.chosen.choose_hits(place, pattern.ids)

    def choose_same(self) -> None:
        """All steps of the slices that the chosen ones play."""
        place, pattern, pieces = self._desk.view.chosen.place, self.pattern, self.kits.chosen_pieces
        if place is not None and pattern is not None:
            pairs = zip(pattern.ids, pattern.slices, strict=True)
            self._desk.view.chosen.choose_hits(place, [step for step, piece in pairs if piece in pieces])

    def by_line(self, step: int) -> None:
        by = step * self._desk.view.grid.step
        self._with_steps(
            lambda pattern, steps: lambda session: move_steps(session, pattern.id, steps, by, {}),
            tr("Move {}"),
        )

    def nudge(self, milliseconds: float) -> None:
        """By time, at the tempo where the first of the steps is heard first: all rounds share its places."""
        clip, timebase = self.clip, self._desk.session.timebase

        def edit(pattern: Pattern, steps: tuple[StepId, ...]) -> Edit:
            place = min((pattern.places[at] for at in pattern.at(steps)), default=0.0)
            by = timebase.beats_in(milliseconds / 1000, place + (0.0 if clip is None else clip.take.beat))
            return lambda session: move_steps(session, pattern.id, steps, by, {})

        self._with_steps(edit, tr("Move {}"))

    def by_row(self, rows: int) -> None:
        """To the slice so many keys further."""
        kit = self.kit
        if kit is None:
            return
        ids = [each.id for each in kit.slices]

        def edit(pattern: Pattern, steps: tuple[StepId, ...]) -> Edit:
            own = {each: pattern.slices[pattern.ids.index(each)] for each in steps}
            pieces = {
                each: ids[min(len(ids) - 1, max(0, ids.index(piece) + rows))]
                for each, piece in own.items()
                if piece in ids
            }
            return lambda session: move_steps(session, pattern.id, steps, 0.0, pieces)

        self._with_steps(edit, tr("Move {}"))
        self.kits.hear_chosen()

    def step(self, by: int, *, is_extending: bool = False) -> None:
        """Choose the next or previous step."""
        place, pattern, steps = self._desk.view.chosen.place, self.pattern, self._desk.view.chosen.steps
        if place is None or pattern is None or not len(pattern):
            return
        at = pattern.ids.index(steps[-1]) + by if steps else (0 if by > 0 else len(pattern) - 1)
        new = pattern.ids[at % len(pattern)]
        self._desk.view.chosen.choose_hits(place, (*steps, new) if is_extending else (new,))
        self.kits.hear_chosen()

    def set_here(self) -> None:
        """A step in the cell of the grid that is under the playhead, of the slice chosen last."""
        place, pattern, kit, clip = self._desk.view.chosen.place, self.pattern, self.kit, self.clip
        if place is None or pattern is None or kit is None or clip is None:
            return
        last = self.kits.last_piece
        piece = kit.slices[0].id if last is None else last
        session, grid = self._desk.session, self._desk.view.grid.step
        beat = session.beat_of(self._desk.transport.position)
        at = float((np.floor(beat / grid + 1e-6) * grid - clip.take.beat) % pattern.beats)
        before = pattern.ids
        self._desk.store.apply(
            lambda session: set_step(session, pattern.id, piece, round(at, 9)), tr("Add step")
        )
        now = self.pattern
        if now is not None:
            self._desk.view.chosen.choose_hits(place, [each for each in now.ids if each not in before])

    def shape(self, name: str, by: float) -> None:
        """One of the values of the chosen steps, so much more."""

        def edit(pattern: Pattern, steps: tuple[StepId, ...]) -> Edit:
            column = pattern.column(name)
            now = {each: float(column[pattern.ids.index(each)]) for each in steps}

            def change(session: Session) -> Session:
                for each, value in now.items():
                    session = shape_steps(session, pattern.id, (each,), name, value + by)
                return session

            return change

        self._with_steps(edit, tr("{0} of {{}}", Pattern.shaped[name].label))

    def shape_by(self, steps: int) -> None:
        name = self._desk.view.step_shape
        self.shape(name, steps * Pattern.shaped[name].step)

    def set_shape(self, session: Session, name: str, value: float) -> Session:
        """For sliders, one of the values of the chosen steps: the last one's; the others as far from it."""
        pattern, steps = self.pattern, self._desk.view.chosen.steps
        if pattern is None or not steps:
            return session
        column = pattern.column(name)
        now = {each: float(column[pattern.ids.index(each)]) for each in steps}
        by = value - now[steps[-1]]
        for each, own in now.items():
            session = shape_steps(session, pattern.id, (each,), name, own + by)
        return session

    def keep(self, *, is_cut: bool = False) -> None:
        """Remember the chosen steps for pasting."""
        pattern, steps = self.pattern, self._desk.view.chosen.steps
        if pattern is None or not steps:
            return
        self._kept = pattern, steps
        if is_cut:
            self.delete()
        self._desk.say(tr("{0} copied. Press Ctrl+V to paste at the playhead.", counted(len(steps), "step")))

    def paste(self) -> None:
        """What was kept, from the cell under the playhead on."""
        if self._kept is None:
            return
        grid, session, clip = self._desk.view.grid.step, self._desk.session, self.clip
        if clip is None:
            return
        beat = session.beat_of(self._desk.transport.position)
        self._lay(self._kept, float(np.floor(beat / grid + 1e-6) * grid - clip.take.beat), tr("Paste {}"))

    def duplicate(self) -> None:
        """The chosen steps once more, right after themselves."""
        pattern, steps = self.pattern, self._desk.view.chosen.steps
        if pattern is None or not steps:
            return
        places = [pattern.places[at] for at in pattern.at(steps)]
        grid = self._desk.view.grid.step
        span = max(grid, float(np.floor((places[-1] - places[0]) / grid + 1 + 1e-6)) * grid)
        self._lay((pattern, steps), places[0] + span, tr("Duplicate {}"))

    def _lay(self, kept: tuple[Pattern, tuple[StepId, ...]], at: float, label: str) -> None:
        of, steps = kept
        chosen = of.only(of.at(steps))
        if not len(chosen):
            return
        first = chosen.places[0]

        def edit(_place: Place, pattern: Pattern) -> Edit:
            places = [round((each - first + at) % pattern.beats, 9) % pattern.beats for each in chosen.places]
            columns = {name: chosen.column(name).tolist() for name in ("slices", *chosen.shaped)}
            return lambda session: change_pattern(
                session, pattern.id, lambda old: old.with_steps({**columns, "places": places})
            )

        before = () if self.pattern is None else self.pattern.ids
        self._with_pattern(edit, label.format(counted(len(chosen), "step")))
        place, now = self._desk.view.chosen.place, self.pattern
        if place is not None and now is not None:
            known = set(before)
            self._desk.view.chosen.choose_hits(place, [each for each in now.ids if each not in known])

    # Folders

    def ask_and_write(self) -> None:
        pattern = self.pattern
        if pattern is None:
            self._desk.say(tr("The clip plays no pattern. Select a clip with a pattern."))
            return
        usual = str(Path.home() / pattern.name)
        said = self._desk.ask.new_file(tr("New folder for the pattern"), usual, tr("Folder"))
        if said is not None:
            self.write(said)

    def write(self, folder: Path) -> None:
        """The pattern and its kit as a folder."""
        pattern, session = self.pattern, self._desk.session
        if pattern is None:
            return
        places, number = dict(self._desk.recordings.places), pattern.id
        self._desk.tasks.run(
            tr("Writing {0}", folder.name),
            lambda progress: write_pattern(folder, session, number, places, progress),
            lambda _done: self._desk.say(tr("Saved “{0}” and its kit in “{1}”", pattern.name, folder)),
        )

    def ask_and_read(self) -> None:
        said = self._desk.ask.folder(tr("Choose pattern folder"))
        if said is not None:
            self.read(said)

    def read(self, folder: Path) -> None:
        """A pattern with its kit, in the song's tempo, from the bar under the playhead on."""
        if not is_pattern(folder):
            self._desk.tasks.error.emit(
                tr("“{0}” contains no pattern. Choose a pattern folder.", folder.name)
            )
            return
        tempo = self._desk.session.tempo.at(self.bar_here())
        self._desk.tasks.run(
            tr("Opening {0}", folder.name),
            lambda progress: read_pattern(folder, tempo, progress),
            self._bring,
        )

    def _bring(self, saved: Saved) -> None:
        desk = self._desk
        recordings = tuple(desk.recordings.renamed(each) for each in saved.recordings)
        known = {each.content for each in desk.session.recordings}
        here = self.bar_here()

        def edit(session: Session) -> Session:
            session = bring_pattern(session, saved.pattern, saved.kit, recordings)
            made = session.patterns[-1]
            line = here
            while session.frame_of(line - made.upbeat) < -0.5:  # what is before its first bar line needs room
                line = session.metre.bars_from(line, 1)
            return play_pattern(session, None, made.id, line - made.upbeat)

        desk.store.apply(edit, tr("Open pattern {0}", saved.pattern.name))
        for each in recordings:
            if each.content not in known:
                desk.recordings.bring(each.content, saved.places[each.content])
        self.show(desk.session.patterns[-1])
        desk.say(tr("“{0}”: {1} on keys", saved.pattern.name, counted(len(saved.kit.slices), "slice")))
