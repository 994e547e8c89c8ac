"""Two songs from end to end at the window: a ballad that slows down, and one in 7/8 with two bars of 4/4."""

import numpy as np
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QInputDialog

from chronotome.files.markers import metre_told, read_markers
from chronotome.session.edits.fitting import TempoSync, following_of
from chronotome.session.edits.tracks import set_muted
from chronotome.ui.dialogs.metre import MetreDialog
from chronotome.ui.state.view_state import Stage
from sounds import noise_hits, write

RATE = 48000
CONTROL, SHIFT = Qt.KeyboardModifier.ControlModifier, Qt.KeyboardModifier.ShiftModifier
LEAD = 4800


def plucked(frames, total, *, seed):
    """Low tones, each begun by a burst of noise exactly at its frame."""
    sound = noise_hits(frames, total, rate=RATE, decay=0.004, seed=seed)
    for frame in frames:
        moment = np.arange(min(20000, total - frame)) / RATE
        sound[frame : frame + len(moment), 0] += 0.3 * np.sin(660 * moment) * np.exp(-4 * moment)
    return sound


def run(person, *actions):
    for action in actions:
        person.window.actions_table.run(action)
        person.settle()


def rises(sound, frames):
    """How many frames after each of `frames` the sound rises out of what was before."""
    level = np.abs(sound).max(axis=1)
    before = [level[frame - 480 : frame - 48].max() for frame in frames]
    return [
        int((level[frame - 48 : frame + 480] > each + 0.02).argmax()) - 48
        for frame, each in zip(frames, before, strict=True)
    ]


def alone(person, track):
    """What a track alone sounds like: the others are silenced, and heard again."""
    others = [each for each in person.session.tracks if each.id != track.id]
    for each in others:
        person.desk.store.apply(lambda s, t=each.id: set_muted(s, t, True), "Mute")
    person.settle()
    sound = person.offline(round(24 * RATE))
    for _ in others:
        person.desk.store.undo()
    person.settle()
    return sound


def test_a_ballad_slows_down_over_eight_bars_with_loop_bass_and_pattern(person, tmp_path, monkeypatch):
    beat, beats = 28800, 32  # 100 bpm
    on = [LEAD + beat * at // 2 for at in range(2 * beats)]
    hits = noise_hits(on, on[-1] + beat, rate=RATE, loudness=[0.9, 0.3] * beats)
    drums = write(tmp_path / "bucket.wav", hits, rate=RATE)
    bass = write(tmp_path / "washtub.wav", plucked(on[::2], on[-1] + beat, seed=5), rate=RATE)
    person.drop(drums, bass)
    person.settle()
    for track, what in zip(person.session.tracks, (("use-measured",), ()), strict=True):
        person.desk.view.chosen.focus(track.id)
        run(person, *what, "follow-song")
        assert following_of(person.session, track.id) is TempoSync.RECORDING
    run(person, "loop")
    monkeypatch.setattr(QInputDialog, "getDouble", lambda *_given: (80.0, True))
    run(person, "tempo-ramp")

    person.desk.view.show_stage(Stage.REWORK)
    person.press(Qt.Key.Key_U, CONTROL)
    person.press(Qt.Key.Key_P, CONTROL | SHIFT)
    person.desk.view.sight.fit()
    person.settle()
    lane, clip = person.window.timeline.evidence["pattern"], person.desk.view.chosen.clip
    row = lane.row_height(len(person.session.kits[-1].slices))
    for at in range(4):
        x = lane.x_of(person.session.frame_of(clip.take.beat + at))
        person.click(lane, (x + 2, 4 + row / 2))
    run(person, *["pattern-again"] * 7)

    lengths = 60 / (100 - 20 * (np.arange(beats) + 0.5) / beats)
    one = person.session.tempo.beat_one
    assert LEAD <= one * RATE < LEAD + 40  # the silence before it is slower too, and no bar more
    seconds = one + np.concatenate([[0.0], np.cumsum(lengths)])
    for track, each in zip(person.session.tracks, (2, 1, 1), strict=True):
        places = np.interp(np.arange(each * beats) / each, np.arange(beats + 1), seconds)
        assert np.abs(rises(alone(person, track), np.rint(places * RATE).astype(int))).max() <= 2


def test_a_song_in_seven_with_two_bars_of_four_comes_back_from_its_file(person, tmp_path, monkeypatch):
    eighth, bars = 12000, [7, 7, 7, 8, 8, 7, 7]
    offs = np.random.default_rng(4).integers(-900, 900, sum(bars))
    offs[0] = 0
    lines = LEAD + eighth * np.arange(sum(bars))
    starts = np.concatenate([[0], np.cumsum(bars)[:-1]])
    loud = [0.9 if at in starts else 0.35 for at in range(sum(bars))]
    hits = noise_hits((lines + offs).tolist(), int(lines[-1]) + 24000, rate=RATE, loudness=loud)
    person.drop(write(tmp_path / "bucket.wav", hits, rate=RATE))
    person.settle()
    view = person.desk.view
    view.show_stage(Stage.FIT)
    person.type_into(person.window.transport.tempo, "120")
    view.chosen.select(int(person.session.recordings[0].onsets.ids[0]))
    run(person, "beat-one")
    for bar, words, count in ((0, "7/8", 0), (3, "4/4", 2)):

        def say(dialog, words=words, count=count):
            dialog._box.setEditText(words)
            dialog._bars.setValue(count)
            return 1

        monkeypatch.setattr(MetreDialog, "exec", say)
        person.desk.transport.go_to(
            person.session.frame_of(float(person.session.metre.beats_of(np.array([float(bar)]))[0])) + 10
        )
        run(person, "metre-here")
    view.show_stage(Stage.TIGHTEN)
    strength = person.window.trays[Stage.TIGHTEN].strength
    person.drag(strength, (strength.x_of(strength.value), 32), (strength.x_of(100), 32))
    person.settle()
    late = np.abs(rises(person.offline(int(lines[-1]) + 20000), lines))
    assert np.median(late) == 0
    assert late.max() <= 12  # a quarter of a millisecond: the last of the hit before may rise there

    song, out = person.session, tmp_path / "tight.wav"
    person.window.export_tray.export(out)
    person.settle()
    assert metre_told(read_markers(out)) == song.metre
    person.desk.store.mark_saved(song)
    run(person, "new")
    person.drop(out)
    person.settle()
    person.wait(person.window.decision.isVisible)
    person.press(Qt.Key.Key_Return)
    person.settle()
    assert (person.session.metre, person.session.tempo) == (song.metre, song.tempo)
