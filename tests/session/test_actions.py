"""Actions by name: what they do, and what they let in."""

import pytest

from chronotome.__main__ import main as command_line
from chronotome.files.session_file import load_session
from chronotome.session.actions import ACTIONS, acted
from chronotome.session.metre import Metre
from chronotome.session.model import Session, Track
from chronotome.session.settings import TightenSettings
from chronotome.ui.commands.session_files import DEMO_SESSION

SONG = Session(tracks=(Track(1, "Bucket kit", ()), Track(2, "Shaker", ())))
WRONG = {
    "BPM": "0",
    "BAR": "soon",
    "END_BAR": "nan",
    "PERCENT": "101",
    "METRE": "7",
    "SECONDS": "-1",
    "NAME": " ",
}
WRONG |= {"on|off": "perhaps", "DIVISION": "5", "MS": "1e9", "DB": "inf", "SEMITONES": "99"}


def test_actions_change_what_they_name_and_only_the_tracks_that_are_meant():
    made = SONG
    for name, *values in (("tempo", "96"), ("metre-from", "3", "7/8"), ("swing", "58,5"), ("mute", "on")):
        made = acted(made, name, values, [2])

    assert (made.tempo.at(0.0), made.metre.metre_at(7.9), made.metre.metre_at(8.0)) == (
        96,
        Metre(),
        Metre(7, 8),
    )
    assert (made.tracks[1].tighten.swing, made.tracks[1].is_muted) == (58.5, True)
    assert made.tracks[0] == SONG.tracks[0]
    assert acted(made, "swing", ["58.5"], [2]) is made
    assert acted(SONG, "strength", ["80"], [1, 2]).tracks[0].tighten == TightenSettings(strength=0.8)


@pytest.mark.parametrize(
    ("name", "at"), [(name, at) for name, a in ACTIONS.items() for at in range(len(a.values))]
)
def test_no_value_comes_in_that_it_may_not_be_and_it_is_said_what_it_may(name, at):
    values = [
        "7/8" if each.name == "METRE" else "on" if "|" in each.name else "4" for each in ACTIONS[name].values
    ]
    values = [
        "60" if each.name in {"BPM", "PERCENT"} else v
        for each, v in zip(ACTIONS[name].values, values, strict=True)
    ]
    acted(SONG, name, values, [1])

    with pytest.raises(ValueError, match=f"of “{name}” may be: "):
        acted(SONG, name, [*values[:at], WRONG[ACTIONS[name].values[at].name], *values[at + 1 :]], [1])
    with pytest.raises(ValueError, match=f"“{name}” takes "):
        acted(SONG, name, values[1:], [1])


def test_a_session_is_edited_by_command_into_a_folder_of_its_own(tmp_path, capsys):
    before = load_session(DEMO_SESSION).history.session
    out, name = tmp_path / "edited", before.tracks[0].name
    edit = ["edit", str(DEMO_SESSION), "swing=61", "tempo-from=5,104", "--track", name, "-o", str(out)]

    assert command_line(edit) == 0
    made = load_session(out)
    assert made.history.session.tracks[0].tighten.swing == 61
    assert made.history.session.tempo.at(made.history.session.metre.beat_of(4)) == 104
    assert not made.missing
    assert [made.history.undo_label, load_session(DEMO_SESSION).history.session == before] == [
        "Set tempo from a bar on",
        True,
    ]
    assert command_line(edit) == 1
    assert "not empty" in capsys.readouterr().err
    assert command_line([*edit[:2], "swing=9", "-o", str(tmp_path / "no")]) == 1
    assert "may be: 50 to 75" in capsys.readouterr().err
    assert not (tmp_path / "no").exists()
    assert command_line(["edit", "--list"]) == 0
    assert "tempo-from=BAR,BPM" in capsys.readouterr().out
