from pathlib import Path

from chronotome.dsp.bands import Instrument
from chronotome.files.analysis import Analysis, keep_analysis, kept_analysis
from chronotome.files.places import (
    MOST_RECENT,
    Settings,
    load_settings,
    save_settings,
    settings_file,
    with_first,
)
from chronotome.session.fit import Measured
from chronotome.session.onsets import Onsets


def test_settings_come_back_and_damaged_ones_are_the_usual_ones():
    save_settings(Settings(theme="night"))
    back = load_settings()
    settings_file().write_text("{")

    assert back.theme == "night"
    assert load_settings() == Settings()


def test_recent_sessions_are_newest_first_once_each_and_few():
    recent = ()
    for number in range(15):
        recent = with_first(recent, Path(f"/s/{number}"))
    recent = with_first(recent, Path("/s/9"))

    assert recent[:2] == ("/s/9", "/s/14")
    assert len(recent) == len(set(recent)) == MOST_RECENT


def test_an_analysis_is_kept_under_its_content():
    onsets = Onsets((1,), (5,), (90.0,), (0,), (0,), 2)
    measured = Measured(92.0, 0.5, 0.9, True)

    analysis = Analysis(onsets, measured, Instrument.STRUCK)

    keep_analysis("c" * 32, analysis)
    keep_analysis("c" * 32, Analysis(onsets, None, Instrument.DRUMS), Instrument.DRUMS)

    assert kept_analysis("c" * 32) == analysis
    assert kept_analysis("c" * 32, Instrument.DRUMS).material is Instrument.DRUMS
    assert kept_analysis("d" * 32) is None
