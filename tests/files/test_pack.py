"""Sessions in one file: they come back whole, and what is no session is not written anywhere."""

import errno
import os
import shutil
import zipfile

import pytest

from chronotome.errors import Cancelled, CannotWrite, MissingRecordings, UnusableFile
from chronotome.files import writing
from chronotome.files.pack import pack, unpack
from chronotome.files.session_file import load_session
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.history import History
from strategies import simple_session, with_audio


@pytest.fixture
def packed(tmp_path):
    session, places = with_audio(simple_session([0, 6000], 20000), tmp_path)
    history = History(session).then(set_tempo(session, 99.0), "Set tempo")
    return pack(tmp_path / "ferry", history, places)


def test_a_packed_session_comes_back_with_history_and_recordings(packed, tmp_path):
    opened = load_session(unpack(packed, tmp_path / "new"))

    assert packed.name == "ferry.chronotome"
    assert opened.history.undo_label == "Set tempo"
    assert opened.history.session.tempo.at(0.0) == 99.0
    (place,) = opened.places.values()
    assert place == tmp_path / "new/audio/take.wav"
    assert place.read_bytes() == (tmp_path / "take.wav").read_bytes()


def test_any_archiver_opens_it(packed, tmp_path):
    shutil.unpack_archive(packed, tmp_path / "set by hand", "zip")
    assert load_session(tmp_path / "set by hand").history.session.tracks


def test_what_is_not_there_or_another_by_now_is_not_packed(tmp_path):
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    with pytest.raises(MissingRecordings, match=r"take\.wav"):
        pack(tmp_path / "a", History(session), {})
    next(iter(places.values())).write_bytes(b"another sound")
    with pytest.raises(UnusableFile, match="has changed"):
        pack(tmp_path / "a", History(session), places)
    assert not (tmp_path / "a.chronotome").exists()


def test_a_recording_is_not_packed_over(tmp_path):
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    (content, place) = next(iter(places.items()))
    ours = place.rename(place.with_suffix(".chronotome"))
    with pytest.raises(UnusableFile, match="is an original recording"):
        pack(ours, History(session), {content: ours})


@pytest.mark.parametrize(
    "name", ["../escape.json", "/etc/escape", "audio/../../escape", "audio/a/b.wav", "notes.txt", "audio/.."]
)
def test_names_that_lead_elsewhere_are_refused_and_nothing_is_written(packed, tmp_path, name):
    with zipfile.ZipFile(packed, "a") as archive:
        archive.writestr(name, b"x")
    with pytest.raises(UnusableFile, match="does not belong in a session"):
        unpack(packed, tmp_path / "new")
    assert not (tmp_path / "new").exists()
    assert not list(tmp_path.rglob("escape*"))


def test_damage_is_told_and_what_was_written_is_taken_back(packed, tmp_path):
    data = bytearray(packed.read_bytes())
    at = data.find(b"RIFF") + 3000
    data[at] ^= 0xFF
    packed.write_bytes(data)
    with pytest.raises(UnusableFile, match="is damaged"):
        unpack(packed, tmp_path / "new")
    assert not (tmp_path / "new").exists()


@pytest.mark.parametrize("data", [b"", b"no archive", b"PK\x05\x06" + bytes(18)])
def test_what_is_no_archive_of_a_session_is_refused(tmp_path, data):
    (tmp_path / "x.chronotome").write_bytes(data)
    with pytest.raises(UnusableFile, match="damaged|not a packed session"):
        unpack(tmp_path / "x.chronotome", tmp_path / "new")


def test_more_than_there_is_room_for_is_refused_before_it_is_written(packed, tmp_path, monkeypatch):
    usage = shutil.disk_usage(tmp_path)
    monkeypatch.setattr(shutil, "disk_usage", lambda _place: usage._replace(free=100))
    with pytest.raises(CannotWrite, match="less free space"):
        unpack(packed, tmp_path / "new")
    assert not (tmp_path / "new").exists()


def test_other_peoples_folders_are_not_unpacked_into(packed, tmp_path):
    (tmp_path / "full").mkdir()
    (tmp_path / "full/theirs").write_text("theirs")
    with pytest.raises(CannotWrite, match="contains other files"):
        unpack(packed, tmp_path / "full")
    assert [each.name for each in (tmp_path / "full").iterdir()] == ["theirs"]


def test_a_full_disk_leaves_what_was_packed_before(packed, tmp_path, monkeypatch):
    class Full(writing.Disk):
        def write(self, *_):
            raise OSError(errno.ENOSPC, "full")

    before = packed.read_bytes()
    monkeypatch.setattr(writing, "disk", Full())
    session, places = with_audio(simple_session([0], 20000), tmp_path)
    with pytest.raises(CannotWrite, match="disk is full"):
        pack(packed, History(session), places)
    assert packed.read_bytes() == before


def zipped(path, entries, kind=zipfile.ZIP_DEFLATED):
    with zipfile.ZipFile(path, "w", kind) as archive:
        for name, data in entries:
            archive.writestr(name, data)
    return path


@pytest.mark.parametrize(
    ("more", "words"),
    [
        ([("audio/other.wav", b"x")], "its session does not use"),
        ([("audio/take.wav", bytes(400 << 20))], "too much for its size"),
        ([(f"audio/{number:0220d}", b"") for number in range(40_000)], "more header data"),
        ([(f"audio/{number}", b"") for number in range(20_001)], "not a packed session"),
    ],
)
def test_a_pack_that_would_become_more_than_its_session_is_refused(packed, tmp_path, more, words):
    with zipfile.ZipFile(packed) as archive:
        texts = [(name, archive.read(name)) for name in ("session.json", "history-1.jsonl")]
    with pytest.raises(UnusableFile, match=words):
        unpack(zipped(tmp_path / "odd.chronotome", [*texts, *more]), tmp_path / "new")
    assert not (tmp_path / "new").exists()


def test_other_ways_of_packing_and_damaged_ones_are_told(packed, tmp_path):
    odd = zipped(tmp_path / "a.chronotome", [("session.json", b"{}" * 900)], zipfile.ZIP_LZMA)
    with pytest.raises(UnusableFile, match="does not belong in a session"):
        unpack(odd, tmp_path / "new")
    torn = zipped(tmp_path / "b.chronotome", [("session.json", bytes(range(256)) * 90)])
    data = bytearray(torn.read_bytes())
    data[60:90] = b"\xff" * 30
    torn.write_bytes(data)
    with pytest.raises(UnusableFile, match="is damaged"):
        unpack(torn, tmp_path / "new")


def test_unpacking_reads_files_only_and_stops_when_it_is_asked_to(packed, tmp_path):
    os.mkfifo(tmp_path / "pipe.chronotome")
    (tmp_path / "zero.chronotome").symlink_to("/dev/zero")
    for name in ("pipe", "zero"):
        with pytest.raises(UnusableFile, match="is not a file"):
            unpack(tmp_path / f"{name}.chronotome", tmp_path / "new")

    def stop(share):
        if share > 0.04:
            raise Cancelled

    with pytest.raises(Cancelled):
        unpack(packed, tmp_path / "new", stop)
    assert not (tmp_path / "new").exists()
