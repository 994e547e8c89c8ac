"""What is imported to begin, and that nothing more is."""

import subprocess
import sys

from chronotome.bridge import rendering
from chronotome.cli import COMMANDS, arguments
from chronotome.cli.tighten import KEEPS
from chronotome.dsp.bands import Instrument
from chronotome.dsp.stretch.engines import MoveBy
from chronotome.files.audio_out import ENCODINGS
from chronotome.files.finish import LONGEST_TAIL, RATES
from chronotome.files.naming import FIELDS
from chronotome.files.split import Splitting
from chronotome.session.edits.slicing import Cuts
from chronotome.session.edits.tracks import set_muted
from chronotome.session.grid import FASTEST, SLOWEST, Grid
from chronotome.session.groove import MOST_BARS
from chronotome.session.onset_filter import USUAL_SPACING, USUAL_THRESHOLD
from chronotome.ui.state.view_state import Stage

HEAVY = ("scipy", "mido")


def imported_by(code, names):
    told = subprocess.run(
        [
            sys.executable,
            "-c",
            f"import sys\n{code}\nprint([name for name in {names} if name in sys.modules])",
        ],
        check=True,
        capture_output=True,
        text=True,
    )
    return told.stdout.splitlines()[-1]


def test_the_window_opens_without_what_takes_longer_than_it():
    code = "import chronotome.ui.application, chronotome.ui.window.main_window"
    assert imported_by(code, HEAVY) == "[]"


def test_help_needs_nothing_of_the_core():
    code = "from chronotome.__main__ import main\ntry: main(['--help'])\nexcept SystemExit: pass"
    core = ("numpy", "msgspec", "chronotome.session", "chronotome.dsp", "chronotome.files", "PySide6")
    assert imported_by(code, core) == "[]"


def test_names_and_bounds_of_the_command_line_are_those_of_the_core():
    said = arguments
    assert (said.SLOWEST, said.FASTEST, said.LONGEST_TAIL) == (SLOWEST, FASTEST, LONGEST_TAIL)
    assert (said.USUAL_THRESHOLD, said.USUAL_SPACING) == (USUAL_THRESHOLD, USUAL_SPACING)
    assert tuple(map(str, Instrument)) == said.INSTRUMENTS
    assert set(said.MATERIALS) == {"auto", "tape", *KEEPS, *said.INSTRUMENTS}
    assert tuple(MoveBy) == said.MOVES
    assert tuple(ENCODINGS) == said.ENCODINGS
    assert (said.RATES, said.FIELDS, said.MOST_BARS) == (RATES, FIELDS, MOST_BARS)
    assert Splitting.names == said.USUAL_NAMES
    parsed = said.parser().parse_args(["split", "a.wav", "-o", "b"])
    assert parsed.at == Cuts()
    assert said.parser().parse_args(["groove", "a.wav", "-o", "b"]).grid == Grid()
    words = said.parser().format_help()
    assert all(command in words for command in COMMANDS)


def test_a_window_has_the_trays_that_were_wanted_and_an_edit_is_heard_before_it_is_shown(
    person, hits_file, monkeypatch
):
    assert person.window.trays.made == {}
    person.window.open([hits_file])
    person.settle()
    assert set(person.window.trays.made) == {Stage.MARK}
    person.window.trays.build_quietly(1)
    person.wait(lambda: set(person.window.trays.made) == set(Stage))
    monkeypatch.setattr(rendering, "FIRST_SECONDS", 10.0)  # however slow the machine is
    published = person.window.player.publish
    order = []
    monkeypatch.setattr(
        person.window.player, "publish", lambda *mix: (order.append("heard"), published(*mix))
    )
    person.desk.store.changed.connect(lambda: order.append("shown"))
    track = person.session.tracks[0].id
    person.desk.store.apply(lambda session: set_muted(session, track, is_muted=True), "Mute")
    assert order[:2] == ["heard", "shown"]
    person.settle()
