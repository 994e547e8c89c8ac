"""Chronotome in a desktop's menus: what is written is what the standards' own validators accept."""

import configparser
import os
import shutil
import subprocess
import sys
import zipfile
from pathlib import Path

import pytest

from chronotome import __version__, assets
from chronotome.__main__ import main
from chronotome.cli.arguments import parser
from chronotome.cli.manual_page import commands_of
from chronotome.errors import CannotWrite
from chronotome.files import desktop
from chronotome.files.desktop import APP_ID, put_in_menus
from chronotome.ui.commands.session_files import DEMO_SESSION

PROGRAM = "/opt/sound & more/100%/chronotome"


@pytest.fixture
def installed(own_home, capsys):
    assert main(["desktop", "install", "--program", PROGRAM]) == 0
    assert "Wrote 16 files" in capsys.readouterr().out
    return own_home / "data"


def accepted(*words):
    """By a validator, where the machine has it."""
    if shutil.which(words[0]) is None:
        pytest.skip(f"no {words[0]} here")
    done = subprocess.run([*map(str, words)], capture_output=True, text=True, check=False)
    assert done.returncode == 0, done.stdout + done.stderr
    return done.stdout + done.stderr


def test_the_entry_starts_the_program_wherever_it_is(installed):
    entry = installed / "applications/org.chronotome.Chronotome.desktop"
    read = configparser.ConfigParser(interpolation=None)
    read.optionxform = str
    read.read(entry)

    assert read["Desktop Entry"]["Exec"] == '"/opt/sound & more/100%%/chronotome" %F'
    assert read["Desktop Entry"]["TryExec"] == PROGRAM
    assert read["Desktop Action demo"]["Exec"].endswith('chronotome" demo')
    accepted("desktop-file-validate", entry)


def test_what_hides_in_a_path_is_no_command():
    assert desktop._quoted(Path('/a"b`c$d\\e')) == r'"/a\\"b\\`c\\$d\\\\e"'


def test_software_centres_read_about_it(installed):
    about = installed / "metainfo/org.chronotome.Chronotome.metainfo.xml"
    assert f'version="{__version__}"' in about.read_text()
    accepted("appstreamcli", "validate", "--no-net", about)


def test_sessions_are_known_by_how_they_begin(installed):
    accepted("update-mime-database", installed / "mime")
    assert b"application/x-chronotome-session" in (installed / "mime/magic").read_bytes()
    head = (DEMO_SESSION / "session.json").read_bytes()[:60]
    assert 0 <= head.find(b'"format": "chronotome-session"') <= 16


def test_icons_are_as_large_as_their_names_say(installed, qapp):
    from PySide6.QtGui import QImage

    for size in desktop.SIZES:
        image = QImage(str(installed / f"icons/hicolor/{size}x{size}/apps/org.chronotome.Chronotome.png"))
        assert (image.width(), image.height()) == (size, size)
        assert image.pixelColor(0, 0).alpha() == 0
        assert image.pixelColor(size // 2, size // 4).alpha() == 255


def test_the_manual_tells_every_option(installed):
    page = installed / "man/man1/chronotome.1"
    text = page.read_text().replace("\\-", "-")
    for name, (command, _) in commands_of(parser()).items():
        assert f'.SS "chronotome {name}"' in text
        for action in command._actions:
            assert "%" not in (action.help or "")
            for option in action.option_strings:
                assert f"\\fB{option}\\fR" in text
    assert accepted("mandoc", "-T", "lint", "-W", "warning", page) == ""


@pytest.mark.parametrize(
    ("shell", "place"),
    [
        ("bash", "bash-completion/completions/chronotome"),
        ("zsh", "zsh/site-functions/_chronotome"),
        ("fish", "fish/vendor_completions.d/chronotome.fish"),
    ],
)
def test_shells_read_their_completions(installed, shell, place):
    text = (installed / place).read_text()
    assert "render" in text
    assert "loudness" in text
    accepted(shell, "-n", installed / place)


def test_taken_out_nothing_is_left_but_what_was_there(installed, capsys):
    theirs = installed / "icons/hicolor/48x48/apps/other.png"
    theirs.write_bytes(b"theirs")
    assert main(["desktop", "uninstall"]) == 0
    assert "Removed 16 files" in capsys.readouterr().out
    assert [each for each in installed.rglob("*") if each.is_file()] == [theirs]

    theirs.unlink()
    assert main(["desktop", "install", "--program", PROGRAM]) == 0
    theirs.parent.mkdir(parents=True, exist_ok=True)
    assert main(["desktop", "uninstall"]) == 0
    assert not list(installed.rglob("*"))


def test_a_folder_that_may_not_be_written_is_told(own_home):
    (own_home / "data").write_text("a file where the folder should be")
    with pytest.raises(CannotWrite, match=r"data"):
        desktop.put_in_menus(Path(PROGRAM), {})


def test_a_wheel_holds_all_that_the_program_needs(tmp_path):
    project = Path(__file__).parents[2]
    for name in ("src", "pyproject.toml", "README.md", "LICENSE"):
        whole = project / name
        (shutil.copytree if whole.is_dir() else shutil.copy2)(whole, tmp_path / name)
    words = ("-m", "pip", "wheel", "--no-deps", "--no-build-isolation", "--no-index", "-q", "-w", tmp_path)
    subprocess.run([sys.executable, *map(str, words), str(tmp_path)], check=True, capture_output=True)
    (wheel,) = tmp_path.glob("chronotome-*.whl")
    names = set(zipfile.ZipFile(wheel).namelist())
    ours = {
        str(each.relative_to(project / "src"))
        for each in (project / "src/chronotome").rglob("*")
        if each.is_file() and "__pycache__" not in each.parts
    }
    assert ours <= names


def test_what_is_not_ours_is_not_replaced_and_odd_homes_are_refused(tmp_path):
    run = Path(__file__).parents[2] / "run"
    home = tmp_path / "home"
    (home / ".local/bin").mkdir(parents=True)
    theirs = home / ".local/bin/chronotome"
    theirs.symlink_to("/usr/bin/true")
    for where, words in ((home, "is not ours"), (tmp_path / "a\nb", "line break")):
        environment = {"HOME": str(where), "PATH": os.environ["PATH"]}
        told = subprocess.run([run, "install"], env=environment, capture_output=True, text=True, check=False)
        assert told.returncode == 3
        assert words in told.stderr
    assert theirs.readlink() == Path("/usr/bin/true")
    with pytest.raises(CannotWrite, match="line break"):
        put_in_menus(tmp_path / "a\nb", {})


def test_no_file_of_other_programs_is_claimed_by_its_name():
    text = (Path(assets.__file__).parent / "desktop" / f"{APP_ID}.mime.xml").read_text()
    assert [each for each in text.split("<glob") if "session.json" in each] == []
    assert "chronotome-session" in text
