"""What keys and menus do about playing: keys on and off, playing in, by ear, scripts of notes."""

from pathlib import Path

import numpy as np

from chronotome.bridge.store import Edit
from chronotome.demo import __file__ as demo_file
from chronotome.engine.key_player import NOWHERE
from chronotome.engine.kit_table import Note, NoteKind
from chronotome.files.notes import KeyNote, read_notes
from chronotome.session.edits.kits import slice_from
from chronotome.session.edits.patterns import new_pattern, play_pattern
from chronotome.session.edits.timing import set_loop
from chronotome.session.kits import key_name
from chronotome.session.model import Clip, Session, TrackId
from chronotome.ui.commands.patterns import PatternCommands
from chronotome.ui.state.figures import counted
from chronotome.ui.state.key_play import KeyPlay
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

PULL_SECONDS = 0.06
"""How far a cut by ear is pulled to an attack."""
PERFORMANCE = Path(demo_file).parent / "harbour-ferry" / "audio" / "ferry_shaker.flac"
"""What the simulated input plays."""
USUAL_BARS = 4
"""Of a pattern that is played in where nothing is looped."""


class PlayingCommands:
    """One method for each thing that can be done."""

    def __init__(self, desk: UiContext, patterns: PatternCommands) -> None:
        self._desk, self._patterns = desk, patterns
        self.play = KeyPlay(desk.keys, desk.keys)
        self.is_by_ear = self._is_missing_told = False
        self.play.taken_back.connect(self.take_back)
        desk.keys.played.connect(self._on_played)
        desk.taking.brought.connect(desk.view.chosen.focus)
        desk.view.chosen.changed.connect(self._follow)
        desk.view.chosen.focus_changed.connect(self._follow)
        desk.store.changed.connect(self._follow)

    def _follow(self) -> None:
        """The kit at hand is on the keys."""
        if self._desk.keys.is_on:
            kit = self._patterns.kit
            self._desk.keys.use(None if kit is None else kit.id)

    # Keys

    @property
    def is_on(self) -> bool:
        return self._desk.keys.is_on

    def toggle(self) -> None:
        if self.is_on:
            self.leave()
        else:
            self.enter()

    def enter(self) -> None:
        """Letters play from now on."""
        self.play.switch(is_on=True)
        self._follow()
        kit = self._patterns.kit
        words = tr("No kit yet. Press Escape, then Ctrl+U, or slice by ear.")
        if kit is not None:
            slices = counted(len(kit.slices), "slice")
            words = tr(
                "Letter keys play {0} of “{1}”. Press , or . for more slices, Escape to end.",
                slices,
                kit.name,
            )
        missing = self._desk.keys.midi_missing
        if missing and not self._is_missing_told:
            self._is_missing_told = True
            words += tr(". Problem: {0}", missing)
        self._desk.say(words)

    def leave(self) -> bool:
        """False where they did not play."""
        if not self.is_on:
            return False
        self.is_by_ear = False
        self._desk.playing_in.end()
        self.play.switch(is_on=False)
        self._desk.say(tr("Letter keys are shortcuts again"))
        return True

    def show_pads(self) -> None:
        """A small window of pads, for mouse and touch."""
        self.enter()
        self._desk.ask.pads(self._desk, self.play)

    def ask_midi(self) -> None:
        """Which inputs play the keys, and which outputs hear the clock."""
        self._desk.ask.midi(self._desk)

    # Playing in

    @property
    def is_recording(self) -> bool:
        return self._desk.playing_in.is_on

    def record(self) -> None:
        """Play in from now on: into the pattern at hand, or a new one; again, and it stops."""
        desk = self._desk
        if self.is_recording:
            desk.playing_in.end()
            desk.say(tr("Pattern recording is off"))
            return
        kit = self._patterns.kit
        if kit is None:
            desk.say(tr("No kit to play. Create one from the hits of a clip with Ctrl+U."))
            return
        self.enter()
        if not self._patterns.is_here:
            self._make_room()
        place, clip, pattern = desk.view.chosen.place, desk.view.chosen.clip, self._patterns.pattern
        if place is None or clip is None or pattern is None or clip.take.playing is None:
            return
        session, take = desk.session, clip.take
        end = take.beat + clip.take.playing.beats
        if not session.is_looping or session.loop is None:
            desk.store.apply(lambda session: set_loop(session, take.beat, end), tr("Loop pattern"))
        desk.playing_in.begin(place, pattern.id)
        start = session.frame_of(take.beat)
        is_inside = start <= desk.transport.position < session.frame_of(end)
        if not desk.transport.is_playing or not is_inside:
            desk.transport.go_to(max(0.0, start))
        if not desk.transport.is_playing:
            desk.transport.play()
        desk.say(tr("Recording the pattern. Backspace removes the last pass."))

    def _make_room(self) -> None:
        """An empty pattern as long as the loop, or some bars, for what is played in."""
        kit, session = self._patterns.kit, self._desk.session
        if kit is None:
            return
        loop = session.loop if session.is_looping else None
        start = self._patterns.bar_here() if loop is None else max(loop.start, session.beat_of(0))
        beats = session.metre.bars_from(start, USUAL_BARS) - start if loop is None else loop.end - loop.start
        number = kit.id

        def edit(session: Session) -> Session:
            session = new_pattern(session, number, beats)
            return play_pattern(session, None, session.patterns[-1].id, start, beats)

        self._desk.store.apply(edit, tr("New recorded pattern"))
        self._patterns.show(self._desk.session.patterns[-1])

    def take_back(self) -> None:
        if not self._desk.playing_in.take_back():
            self._desk.say(tr("No pass was recorded yet"))
            return
        self._desk.say(tr("Removed the last pass"))

    # Takes

    @property
    def is_taking(self) -> bool:
        return self._desk.taking.is_on

    def take(self) -> None:
        """Record the sound input while it plays; again, and the take is there."""
        desk = self._desk
        if desk.taking.is_on:
            desk.transport.stop()
            desk.taking.end()
            return
        desk.taking.begin(performance=PERFORMANCE)

    @property
    def is_hearing_input(self) -> bool:
        return self._desk.taking.is_monitoring

    def hear_input(self) -> None:
        """Let what the input hears be heard, be it recorded or not."""
        taking = self._desk.taking
        taking.monitor(is_on=not taking.is_monitoring, performance=PERFORMANCE)
        if taking.is_monitoring:
            self._desk.say(tr("Input monitoring is on. With a microphone, use headphones."))
        else:
            self._desk.say(tr("Input monitoring is off"))

    def ask_delay(self) -> None:
        """Measure by how much the input is late."""
        desk = self._desk
        if desk.taking.is_open:
            desk.say(tr("End the take and turn off input monitoring before measuring the latency"))
            return
        loopback = desk.taking.loopback()
        late = desk.ask.loopback(loopback)
        if late is not None:
            known = {**desk.preferences.settings.input_ms, loopback.device: late}
            desk.preferences.keep(input_ms=known)
            desk.say(
                tr(
                    "Takes from “{0}” are now moved {1:.1f} ms earlier",
                    loopback.device,
                    late,
                )
            )

    # By ear

    def toggle_by_ear(self) -> None:
        """While a recording plays, each key that is free cuts a slice where it is heard."""
        self.is_by_ear = not self.is_by_ear
        if self.is_by_ear:
            self.enter()
            self._desk.say(tr("Slicing by ear: a free key starts a slice at the playhead."))
        else:
            self._desk.say(tr("Slicing by ear is off"))

    def _on_played(self, notes: list[Note]) -> None:
        if not self.is_by_ear:
            return
        for note in notes:
            if note.kind == NoteKind.START:
                self._cut_or_go(note)

    def _cut_or_go(self, note: Note) -> None:
        desk, chosen, kit = self._desk, self._desk.view.chosen, self._patterns.kit
        track, clip = chosen.focused, chosen.clip
        if track is None or clip is None or clip.take.playing is not None:
            return
        piece = None if kit is None else kit.on_key(note.key)
        shown = desk.shown
        if piece is not None:
            if piece.recording == clip.recording and shown is not None:
                desk.transport.go_to(max(0.0, shown.frame_shown(piece.start)))
            return
        if note.frame == NOWHERE or shown is None:
            desk.say(tr("Slicing by ear needs playback. Press Space."))
            return
        early = desk.preferences.reaction_seconds * desk.session.rate
        frame = shown.recording_frame(max(0.0, note.frame - early))
        self._cut(track.id, clip, frame, note.key)

    def _cut(self, track: TrackId, clip: Clip, frame: int, key: int) -> None:
        """A slice from a frame of the recording on, pulled to the attack nearby."""
        desk, kit = self._desk, self._patterns.kit
        number = None if kit is None else kit.id
        recording = desk.session.recording_with(clip.recording)
        frames = recording.onsets.frame_array
        if len(frames) and desk.view.is_snapping:
            near = int(frames[int(np.abs(frames - frame).argmin())])
            frame = near if abs(near - frame) <= PULL_SECONDS * recording.rate else frame
        edit: Edit = lambda session: slice_from(session, number, (track, clip.id), frame, key)  # noqa: E731 - typed
        desk.store.apply(edit, tr("Slice by ear to {0}", key_name(key)))
        self._follow()
        desk.say(tr("{0} plays from here; its slice ends at the next cut", key_name(key)))

    # Scripts

    def ask_and_play_notes(self) -> None:
        said = self._desk.ask.file(tr("Play MIDI file"), "", tr("MIDI notes (*.mid *.midi)"))
        if said is not None:
            self.play_notes(said)

    def play_notes(self, path: Path) -> None:
        """Notes of a MIDI file on the keys, from the playhead on, in the song's time."""
        self._desk.tasks.run(
            tr("Reading {0}", path.name),
            lambda progress: read_notes(path, progress),
            lambda notes: self._play(path, notes),
        )

    def _play(self, path: Path, notes: list[KeyNote]) -> None:
        desk = self._desk
        self.enter()
        session = desk.session
        here = session.beat_of(desk.transport.position)
        placed = [
            Note(
                NoteKind.START if note.is_start else NoteKind.RELEASE,
                note.key,
                note.velocity,
                frame=round(session.frame_of(here + note.beat)),
            )
            for note in notes
        ]
        taken = desk.keys.play_script(placed)
        desk.say(tr("Playing {0} of “{1}” from here", counted(taken, "note"), path.name))
