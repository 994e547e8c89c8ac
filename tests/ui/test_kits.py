"""Kits at the window: scripts of notes, MIDI inputs, pads, banks of letters, patterns of the shelf."""

from pathlib import Path

import mido
import numpy as np
import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QApplication, QCheckBox, QFileDialog

from chronotome.engine.kit_table import WANTED, NoteKind
from chronotome.engine.midi import MISSING
from chronotome.session.edits.kits import make_kit
from chronotome.session.edits.slicing import At, Cuts, take_apart
from chronotome.ui.dialogs.midi import MidiDialog
from chronotome.ui.dialogs.pads import COLUMNS, PadsWindow
from chronotome.ui.state.key_play import BANK
from chronotome.ui.state.view_state import Stage

CONTROL = Qt.KeyboardModifier.ControlModifier


@pytest.fixture
def keyed(at_work):
    """Thirty-odd slices of the take on keys, more than there are letters."""
    person = at_work
    person.desk.view.show_stage(Stage.REWORK)
    track = person.session.tracks[0]
    place = (track.id, track.clips[0].id)
    person.desk.store.apply(lambda s: take_apart(s, place, Cuts(At.LINES, step=0.25)), "Slice")
    person.desk.store.apply(lambda s: make_kit(s, place), "Kit")
    person.settle()
    return person


def told(person):
    words = []
    person.desk.tasks.told.connect(words.append)
    person.desk.tasks.error.connect(words.append)
    return words


def asked(person):
    """Notes that wait for the audio callback."""
    found, table = [], person.window.player.control.kit
    while (note := table.take(WANTED)) is not None:
        found.append(note)
    return found


def midi_file(path, notes, ticks=480):
    file, track = mido.MidiFile(ticks_per_beat=ticks), mido.MidiTrack()
    for note, wait, length in notes:
        track.append(mido.Message("note_on", note=note, velocity=127, time=wait))
        track.append(mido.Message("note_off", note=note, time=length))
    file.tracks.append(track)
    file.save(path)
    return path


def test_notes_of_a_midi_file_are_played_from_the_playhead_on_in_the_song_s_time(
    keyed, tmp_path, monkeypatch
):
    path = midi_file(tmp_path / "script.mid", [(36, 0, 240), (38, 240, 480)])
    monkeypatch.setattr(QFileDialog, "getOpenFileName", lambda *_: (str(path), ""))
    keyed.desk.transport.go_to(keyed.session.frame_of(2.0))
    asked(keyed)
    keyed.window.actions_table.run("play-notes")
    keyed.wait(lambda: keyed.desk.tasks.is_idle)

    notes = [note for note in asked(keyed) if note.kind != NoteKind.SILENCE]
    at = [round(keyed.session.frame_of(beat)) for beat in (2.0, 2.5, 3.0, 4.0)]
    starts = [(note.kind, note.key) for note in notes]
    assert [note.frame for note in notes] == at
    assert starts == [(NoteKind.START, 0), (NoteKind.RELEASE, 0), (NoteKind.START, 2), (NoteKind.RELEASE, 2)]


@pytest.mark.parametrize(
    ("make", "words"),
    [
        (lambda path: path.write_bytes(b"MThd nonsense"), "contains no readable notes"),
        (lambda path: midi_file(path, [(20, 0, 10)]), "contains no notes"),
        (lambda path: midi_file(path, [(40, 0, 1)] * 600), "holds 600 notes"),
        (lambda path: path.write_bytes(bytes(5 << 20)), "larger than 4 MB"),
        (lambda path: path.mkdir(), "Is a directory"),
    ],
)
def test_a_file_of_notes_that_cannot_be_played_is_told_and_changes_nothing(keyed, tmp_path, make, words):
    path, said = tmp_path / "script.mid", told(keyed)
    make(path)
    keyed.window.commands.playing.play_notes(path)
    keyed.settle()
    assert words in said[-1]
    assert "script.mid" in said[-1]
    assert not keyed.desk.keys.is_on


def test_midi_inputs_are_named_chosen_and_remembered(keyed, monkeypatch):
    control = keyed.window.player.control
    control.midi.text = "Harbour keys\nPier pads"
    boxes = []

    def choose(dialog):
        boxes.append([box.text() for box in dialog.findChildren(QCheckBox)])
        dialog.inputs.boxes[1].setChecked(True)
        control.midi.text = "Harbour keys\nPier pads\nStair pads"  # one is plugged in meanwhile
        dialog._show()
        boxes.append([box.text() for box in dialog.inputs.boxes])
        control.clocks.text = "Drum machine"
        dialog._show()
        dialog.outputs.boxes[0].setChecked(True)
        return 1

    monkeypatch.setattr(MidiDialog, "exec", choose)
    keyed.window.actions_table.run("midi-inputs")

    assert boxes == [["Harbour keys", "Pier pads"], ["Harbour keys", "Pier pads", "Stair pads"]]
    assert keyed.desk.preferences.settings.midi == ("Pier pads",)
    assert control.wanted_midi.text == "Pier pads"
    assert keyed.desk.preferences.settings.clock_to == ("Drum machine",)
    assert control.wanted_clock.text == "Drum machine"


def test_without_midi_it_is_said_once_and_keys_play_all_the_same(keyed, monkeypatch):
    said = told(keyed)
    keyed.window.player.control.midi.text = f"{MISSING} (No such file or directory)"
    for _ in range(2):
        keyed.press(Qt.Key.Key_F8)
        assert keyed.desk.keys.is_on
        keyed.press(Qt.Key.Key_Escape)
    assert sum(MISSING in words for words in said) == 1
    dialogs = []
    monkeypatch.setattr(MidiDialog, "exec", lambda dialog: dialogs.append(dialog.inputs.label.text()) or 0)
    keyed.window.actions_table.run("midi-inputs")
    assert dialogs[0].startswith(f"MIDI is unavailable: {MISSING}")


def test_more_slices_than_letters_are_reached_in_banks_and_held_keys_are_let_go_of(keyed):
    count = len(keyed.session.kits[0].slices)
    assert BANK < count < 2 * BANK
    keyed.press(Qt.Key.Key_F8)
    pressed, released = [], []
    keyed.desk.keys.press = lambda key, *_, **__: pressed.append(key)
    keyed.desk.keys.release = lambda key, **_: released.append(key)
    keyed.bot.keyPress(keyed.window, Qt.Key.Key_W)
    keyed.press(Qt.Key.Key_Period)
    keyed.bot.keyRelease(keyed.window, Qt.Key.Key_W)
    keyed.press(Qt.Key.Key_W)
    keyed.press(Qt.Key.Key_Period)  # there is no third one
    keyed.press(Qt.Key.Key_Q)
    keyed.press(Qt.Key.Key_Comma)
    keyed.press(Qt.Key.Key_Comma)
    keyed.press(Qt.Key.Key_Q)
    assert pressed == [1, BANK + 1, BANK, 0]
    assert released == [1, BANK + 1, BANK, 0]


def test_letters_typed_into_a_field_are_letters_while_keys_play(keyed):
    keyed.press(Qt.Key.Key_F8)
    pressed = []
    keyed.desk.keys.press = lambda key, *_, **__: pressed.append(key)
    field = keyed.window.findChild(type(keyed.window.centralWidget()), "transport").tempo
    field.setFocus()
    keyed.wait(field.hasFocus)
    keyed.press_in(field, Qt.Key.Key_W)
    assert pressed == []
    field.clearFocus()
    keyed.press(Qt.Key.Key_W, CONTROL)  # and with Ctrl they are shortcuts
    assert pressed == []


def test_pads_show_their_slices_and_the_loudest_is_the_tallest(keyed):
    keyed.window.actions_table.run("pads")
    pads = next(each for each in QApplication.topLevelWidgets() if isinstance(each, PadsWindow))
    kit = keyed.session.kits[0]
    shapes = [pads._peaks(piece) for piece in kit.slices]
    source = keyed.desk.recordings.pool.get(kit.slices[0].recording).region.samples
    loud = [float(np.abs(source[piece.start : piece.end]).max()) for piece in kit.slices]
    assert all(len(shape) == COLUMNS for shape in shapes)
    np.testing.assert_allclose([max(shape) for shape in shapes], np.minimum(1.0, loud), atol=1e-6)
    image = pads.grab().toImage()
    box = pads._box(int(np.argmax(loud)))
    across = np.arange(box.left() + 8, box.right() - 8).astype(int).tolist()
    inks = {image.pixelColor(x, int(box.top() + 0.64 * box.height())).name() for x in across}
    assert keyed.desk.view.theme.ink.lower() in inks
    pads.close()


def test_a_pattern_of_the_shelf_is_taken_in_by_a_click_and_one_that_is_dropped_too(keyed, tmp_path):
    run = keyed.window.actions_table.run
    run("pattern")
    keyed.settle()
    keyed.window.commands.patterns.write(tmp_path / "shelf" / "evening")
    keyed.settle()
    keyed.window.toggle_shelf()
    panel, shelf = keyed.window.shelf, keyed.desk.shelf
    panel.open(tmp_path / "shelf")
    keyed.wait(lambda: keyed.desk.tasks.is_idle and len(shelf.entries) == 1)
    assert panel.told.text() == "1 pattern"
    picture = panel.table.grab().toImage()
    accents = {picture.pixelColor(x, y).name() for x in range(4, 22) for y in range(20, 40)}
    assert keyed.desk.view.theme.accent.lower() in accents
    count = len(keyed.session.patterns)

    panel.table.doubleClicked.emit(panel.rows.index(0, 0))
    keyed.settle()
    assert len(keyed.session.patterns) == count + 1
    keyed.drop(tmp_path / "shelf" / "evening")
    keyed.settle()
    assert len(keyed.session.patterns) == count + 2
    assert keyed.desk.view.chosen.focused is keyed.session.tracks[-1]
    said = told(keyed)
    (tmp_path / "nothing").mkdir()
    keyed.window.commands.patterns.read(tmp_path / "nothing")
    assert "no pattern" in said[-1]


def test_kit_pattern_and_tempo_map_are_handed_over_from_the_menu(keyed, tmp_path, monkeypatch):
    run, said, asked = keyed.window.actions_table.run, told(keyed), []
    run("pattern-midi")
    assert "Needs a pattern" in keyed.window.status.words.said
    run("pattern")
    keyed.settle()

    def choose(_parent, title, usual, _kinds):
        asked.append(usual)
        return str(tmp_path / Path(usual).name), ""

    monkeypatch.setattr(QFileDialog, "getSaveFileName", choose)
    for action in ("kit-sfz", "pattern-midi", "tempo-midi"):
        run(action)
        keyed.settle()
    names = [Path(usual).name for usual in asked]
    kit, steps = keyed.session.kits[0], keyed.session.patterns[0]
    instrument = next((tmp_path / names[0]).glob("*.sfz")).read_text()
    assert instrument.count("<region>") == len(kit.slices)
    notes = mido.MidiFile(tmp_path / names[1])
    assert sum(message.type == "note_on" for message in notes) == len(steps)
    assert any(message.type == "set_tempo" for message in mido.MidiFile(tmp_path / names[2]))
    assert [words for words in said if "written" in words or "slice" in words]


def test_slices_are_written_as_files_named_as_the_example_says(keyed, tmp_path, monkeypatch):
    from chronotome.ui.dialogs.slice_files import SliceFilesDialog

    seen = []

    def choose(dialog):
        assert [words.split(":")[0] for words, _ in dialog._kits] == [
            "the 35 hits of the clip",
            "the kit stairwell",
        ]
        dialog.names.setText("{nothing}")
        dialog.names.textEdited.emit("")
        seen.append((dialog.example.text(), dialog.buttons.buttons()[0].isEnabled()))
        dialog.names.setText("{name} {key} {band}")
        dialog.names.textEdited.emit("")
        dialog.kind.setCurrentIndex(3)
        dialog.kind.activated.emit(3)
        seen.append((dialog.example.text(), dialog.buttons.buttons()[0].isEnabled()))
        return True

    monkeypatch.setattr(SliceFilesDialog, "exec", choose)
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(tmp_path / "slices"), ""))
    keyed.window.actions_table.run("slice-files")
    keyed.settle()

    assert seen[0][0].startswith("Current settings: {nothing}")
    assert [enabled for _, enabled in seen] == [False, True]
    shown = seen[1][0].splitlines()
    written = sorted(each.name for each in (tmp_path / "slices").iterdir())
    assert set(shown[:3]) <= set(written)
    assert shown[3] == f"and {len(written) - 3} more"
    assert all(name.endswith(".flac") for name in written)
