"""A loop from a song: what a span would be, and what is asked before it is written."""

import pytest
import soundfile
from hypothesis import given
from hypothesis import strategies as st

from chronotome.session.edits.timing import set_loop
from chronotome.ui.commands.loops import BARS, implied_by

ASK = "chronotome.ui.window.asked.QFileDialog.getSaveFileName"


@given(st.floats(0.2, 60), st.sampled_from([3.0, 4.0]), st.none() | st.floats(50, 220))
def test_a_span_is_the_number_of_bars_whose_tempo_is_nearest(seconds, bar, near):
    implied = implied_by(seconds, bar, near)

    assert implied.bars in BARS
    assert implied.beats_per_minute == pytest.approx(60 * implied.bars * bar / seconds)
    wanted = near or 110.0
    for bars in BARS:
        other = 60 * bars * bar / seconds
        ratio = max(implied.beats_per_minute / wanted, wanted / implied.beats_per_minute)
        assert ratio <= max(other / wanted, wanted / other) * (1 + 1e-9)


def test_nothing_implies_nothing_and_one_bar_is_said_as_one():
    assert implied_by(0.0, 4.0, None) is None
    assert implied_by(2.0, 4.0, 118.0).words == "2.000 s · 1 bar at 120.00 bpm"
    assert implied_by(4.0, 4.0, 118.0).words == "4.000 s · 2 bars at 120.00 bpm"


def run(person, name):
    person.window.actions_table.run(name)


def test_without_a_span_both_actions_say_what_to_do_first(at_work):
    for action in ("pull-loop", "own-recording"):
        at_work.window.status.words.said = ""
        run(at_work, action)
        assert "Needs a loop. Drag over the ruler." in at_work.window.status.words.said


def test_the_loop_is_written_where_one_says_and_a_no_writes_nothing(at_work, tmp_path, monkeypatch):
    at_work.desk.store.apply(lambda session: set_loop(session, 0.0, 4.0), "Loop")
    asked = []
    monkeypatch.setattr(ASK, lambda *words: asked.append(words[2]) or ("", ""))
    run(at_work, "own-recording")
    at_work.settle()
    assert len(at_work.session.tracks) == 1
    assert asked[0].endswith("stairwell loop 120.00bpm.wav")

    monkeypatch.setattr(ASK, lambda *_: (str(tmp_path / "bars"), ""))
    run(at_work, "own-recording")
    at_work.wait(lambda: len(at_work.session.tracks) == 2)
    at_work.settle()

    assert soundfile.info(tmp_path / "bars.wav").duration == pytest.approx(2.0, abs=0.003)
    assert at_work.session.tracks[1].name == "bars"
