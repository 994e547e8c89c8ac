"""Damaged and hostile files by seed: what gets through.

./run bench attack sounds [COUNT] [SEED]       damaged sound files in seven formats, opened, decoded, heard
./run bench attack documents [COUNT] [SEED]    sessions, histories, journals, sidecars, caches, marks
./run bench attack windows [COUNT] [SEED]      those that can be read, opened and painted in every stage
./run bench attack exchanged [COUNT] [SEED]    packs, notes, grooves, markers, places, pipes

A worker process does one case after the other; the parent counts what raises anything but a sentence of one
line, what takes longer than 10 s, what dies, what writes to stderr by itself, and files touched outside, and
tells the most memory a worker had.
"""

import hashlib
import io
import json
import os
import random
import resource
import shutil
import subprocess
import sys
import tempfile
import threading
import traceback
import warnings
import zipfile
from collections import Counter
from collections.abc import Callable
from pathlib import Path
from queue import Empty, Queue
from typing import Any

import numpy as np
import soundfile

from bench.material import RATE, isolate, performance
from chronotome.__main__ import speak_alone
from chronotome.dsp.audio import Audio
from chronotome.dsp.onsets.detection import detect_onsets
from chronotome.errors import ChronotomeError
from chronotome.files.analysis import Analysis, analyse, keep_analysis, kept_analysis
from chronotome.files.audio_file import facts_of, load_source
from chronotome.files.fit_file import keep_fit, kept_fit, sidecar_of, write_sidecar
from chronotome.files.grooves import read_groove, shipped_grooves, write_groove
from chronotome.files.journal import Journal, recover
from chronotome.files.markers import read_markers
from chronotome.files.marks import SUFFIXES as MARK_SUFFIXES
from chronotome.files.marks import marks_of, read_marks, write_marks
from chronotome.files.notes import read_notes
from chronotome.files.pack import pack, unpack
from chronotome.files.places import Settings, load_settings, save_settings, settings_file
from chronotome.files.safe_read import is_there
from chronotome.files.session_file import load_session, save_session
from chronotome.files.tags import tempo_tag
from chronotome.render.arena import Arena
from chronotome.render.plan import plan_for
from chronotome.session.checks import checks_of
from chronotome.session.counting import counted_of
from chronotome.session.edits.recordings import add_recording, set_analysis
from chronotome.session.edits.tempo import set_tempo
from chronotome.session.edits.tightening import set_tighten
from chronotome.session.edits.timing import set_beat_one
from chronotome.session.edits.tracks import set_level
from chronotome.session.fit_checks import fit_checks_of
from chronotome.session.follow import beats_of
from chronotome.session.history import History
from chronotome.session.mark_checks import mark_checks_of
from chronotome.session.model import Follow, Recording, Session, replace

LONGEST_SECONDS = 10
COUNTS = {"sounds": 5000, "documents": 3000, "windows": 500, "exchanged": 10_000}
TRIES = 60
"""Until a damaged session can be read: most cannot."""
FORMATS = {
    "wav": ("WAV", "PCM_16"),
    "wavfloat": ("WAV", "FLOAT"),
    "aiff": ("AIFF", "PCM_24"),
    "flac": ("FLAC", "PCM_16"),
    "ogg": ("OGG", "VORBIS"),
    "mp3": ("MP3", "MPEG_LAYER_III"),
    "au": ("AU", "PCM_16"),
}
NUMBERS = (
    0,
    -1,
    1,
    3,
    127,
    1000,
    100_000,
    0.999,
    4e9,
    999_999,
    2**31,
    2**32 - 1,
    2**53,
    10**18,
    10**30,
    -(10**18),
    0.5,
    1e-300,
    1e300,
    -1e9,
)
WORDS: tuple[Any, ...] = (
    "",
    "../../planted",
    "/planted",
    "..",
    "a/b",
    "n" * 5000,
    "\u0000",
    "<b>x</b>",
    "a\nb",
    None,
    [],
    {},
    True,
)


def damaged(data: bytes, chance: random.Random) -> bytes:
    """Bytes changed, cut off, left out, said twice, zeroed, joined; the head more often than the rest."""
    for _ in range(chance.choice((1, 1, 1, 3, 10))):
        if not data:
            return data
        at = int(len(data) * chance.random() ** 3)
        length = chance.choice((1, 2, 4, 8, 100, 5000))
        part = data[at : at + length]
        data = chance.choice(
            (
                data[:at] + chance.randbytes(len(part)) + data[at + length :],
                data[:at] + b"\xff" * len(part) + data[at + length :],
                data[:at] + b"\0" * len(part) + data[at + length :],
                data[:at],
                data[:at] + data[at + length :],
                data[:at] + part + data[at:],
                data + data,
            )
        )
    return data


def spoiled(value: Any, chance: random.Random, depth: int = 0) -> Any:
    """JSON with one value in it replaced by what nobody would write."""
    if isinstance(value, dict) and value and (depth < 1 or chance.random() < 0.9):
        key = chance.choice(list(value))
        if chance.random() < 0.05:
            return {name: each for name, each in value.items() if name != key}
        return {**value, key: spoiled(value[key], chance, depth + 1)}
    if isinstance(value, list) and value and chance.random() < 0.9:
        at = chance.randrange(len(value))
        if chance.random() < 0.1:
            return value[:at] + [value[at]] * chance.choice((0, 2)) + value[at + 1 :]
        return [*value[:at], spoiled(value[at], chance, depth + 1), *value[at + 1 :]]
    if isinstance(value, str):
        return chance.choice((*WORDS, *NUMBERS))
    return chance.choice((*NUMBERS, *NUMBERS, *WORDS))


def spoiled_text(data: bytes, chance: random.Random) -> bytes:
    """A document or a line of a ledger that still parses, or bytes damaged as any."""
    if chance.random() < 0.3:
        return damaged(data, chance)
    lines = [line for line in data.split(b"\n") if line.strip()]
    if len(lines) > 1 and lines[1].startswith(b'{"'):
        at = chance.randrange(len(lines))
        lines[at] = json.dumps(spoiled(json.loads(lines[at]), chance)).encode()
        return b"\n".join(lines) + b"\n"
    return json.dumps(spoiled(json.loads(data), chance)).encode()


def touched(folder: Path) -> str:
    """A hash of all names and bytes below a folder."""
    digest = hashlib.sha256()
    for path in sorted(folder.rglob("*")):
        digest.update(os.fsencode(path))
        if path.is_file() and not path.is_symlink():
            digest.update(path.read_bytes())
    return digest.hexdigest()


class Sounds:
    """Opened, decoded, and its hits looked for."""

    def __init__(self, home: Path) -> None:
        self._folder = home / "sounds"
        self._folder.mkdir()
        samples = performance(0.05)[0]
        self._whole: dict[str, bytes] = {}
        for name, (container, subtype) in FORMATS.items():
            path = self._folder / f"whole.{name}"
            soundfile.write(path, samples, RATE, format=container, subtype=subtype)
            self._whole[name] = path.read_bytes()

    def one(self, chance: random.Random) -> None:
        name = chance.choice(list(FORMATS))
        path = self._folder / f"take.{name.removesuffix('float')}"
        path.write_bytes(damaged(self._whole[name], chance))
        facts = facts_of(path)
        arena = Arena()
        source = load_source(facts, arena, 48000)
        assert np.isfinite(source.region.samples).all()
        tempo_tag(path)
        detect_onsets(Audio(source.region.samples[: 10 * RATE], 48000))


class Documents:
    """Read, used, and saved elsewhere; files beside must stay as they are."""

    def __init__(self, home: Path) -> None:
        self._home = home
        sound = home / "take.wav"
        samples = performance(0.2)[0]
        soundfile.write(sound, samples, RATE)
        facts = facts_of(sound)
        self._sound = sound
        self._recording = Recording(facts.content, "take.wav", facts.rate, facts.frames, facts.channels)
        heard = analyse(Audio(samples, RATE), "take")
        self._heard = heard
        session = add_recording(replace(Session(), rate=RATE), self._recording, "take")
        session = set_analysis(session, facts.content, heard.onsets, heard.measured, heard.material)
        session = set_beat_one(set_tempo(session, 120.0), 0.1)
        track = session.tracks[0].id
        session = set_tighten(session, track, strength=0.8)
        session = replace(session, tracks=(replace(session.tracks[0], follow=Follow.SONG),))
        history = History(session).then(set_level(session, track, -3.0), "Set level")
        self._places = {facts.content: sound}
        self._saved = home / "saved"
        save_session(self._saved, history, self._places)
        journal = Journal(home / "journals")
        journal.start(history, self._places, self._saved)
        journal.happened("then", history.then(set_tempo(history.session, 99.0), "Set tempo"))
        journal.flush()
        assert journal.path is not None
        self._journal = journal.path.read_bytes()
        journal.finish()
        self._session = history.session
        self._outside = home / "outside"
        self._outside.mkdir()
        (self._outside / "precious").write_text("precious")

    def one(self, chance: random.Random) -> None:
        kinds: list[Callable[[random.Random], None]] = [
            self._document,
            self._document,
            self._history,
            self._journalled,
            self._sidecar,
            self._cache,
            self._marks,
            self._settings,
        ]
        before = touched(self._outside), touched(self._saved)
        chance.choice(kinds)(chance)
        assert (touched(self._outside), touched(self._saved)) == before, "files were touched outside"
        assert not list(self._home.glob("planted*")), "a file was planted"

    def _copy(self) -> Path:
        folder = self._outside.parent / "work"
        shutil.rmtree(folder, ignore_errors=True)
        shutil.copytree(self._saved, folder / "session")
        return folder / "session"

    def _document(self, chance: random.Random) -> None:
        folder = self._copy()
        document = folder / "session.json"
        document.write_bytes(spoiled_text(document.read_bytes(), chance))
        self._use(folder)

    def _history(self, chance: random.Random) -> None:
        folder = self._copy()
        ledger = folder / "history-1.jsonl"
        ledger.write_bytes(spoiled_text(ledger.read_bytes(), chance))
        self._use(folder)

    def _use(self, folder: Path) -> None:
        opened = load_session(folder)
        history = opened.history
        while history.past:
            history = history.undone()
        for session in (opened.history.session, history.session):
            use(session)
        save_session(folder.parent / "again", history, opened.places)
        save_session(folder, history, opened.places)
        load_session(folder)

    def _journalled(self, chance: random.Random) -> None:
        path = self._copy().parent / "one.jsonl"
        path.write_bytes(spoiled_text(self._journal, chance))
        found = recover(path)
        if found is not None:
            use(found.history.session)
            places = {content: place for content, place in found.places.items() if is_there(place)}
            save_session(path.parent / "again", found.history, places)

    def _sidecar(self, chance: random.Random) -> None:
        sound = self._copy().parent / "take.wav"
        write_sidecar(self._session.recordings[0], sound)
        place = sidecar_of(sound)
        place.write_bytes(spoiled_text(place.read_bytes(), chance))
        fit = kept_fit(self._recording.content, sound)
        use(replace(self._session, recordings=(replace(self._session.recordings[0], fit=fit),)))
        keep_fit(replace(self._recording, fit=fit))

    def _cache(self, chance: random.Random) -> None:
        keep_analysis(self._recording.content, self._heard)
        (path,) = Path(os.environ["XDG_CACHE_HOME"]).rglob(f"{self._recording.content}*heard.json")
        path.write_bytes(spoiled_text(path.read_bytes(), chance))
        found: Analysis | None = kept_analysis(self._recording.content)
        if found is not None:
            use(
                set_analysis(
                    self._session, self._recording.content, found.onsets, found.measured, found.material
                )
            )

    def _marks(self, chance: random.Random) -> None:
        suffix = chance.choice([each for each in MARK_SUFFIXES if each != ".midi"])
        path = self._copy().parent / f"marks{suffix}"
        recording, track = self._session.recordings[0], self._session.tracks[0]
        marks = marks_of(recording, counted_of(self._session, track.clips[0].take))
        write_marks(path, marks, self._sound, recording.rate)
        data = path.read_bytes()
        if suffix not in {".wav", ".mid"} and chance.random() < 0.5:
            cells = data.decode().split("\n")
            cells[chance.randrange(len(cells))] = chance.choice(
                ("nan\tnan\tx", "inf,inf", "1e400", "9" * 10**6)
            )
            data = "\n".join(cells).encode()
        else:
            data = damaged(data, chance)
        path.write_bytes(data)
        for mark in read_marks(path, recording.rate):
            assert 0 <= mark.seconds < 1e9

    def _settings(self, chance: random.Random) -> None:
        save_settings(Settings(recent=("/a", "/b"), shelf=("/c",)))
        path = settings_file()
        path.write_bytes(spoiled_text(path.read_bytes(), chance))
        save_settings(load_settings())


class Exchanged(Documents):
    """What other people send: read where it can be, and nothing written but where it was asked for."""

    def __init__(self, home: Path) -> None:
        super().__init__(home)
        self._pack = pack(home / "whole.chronotome", History(self._session), self._places).read_bytes()
        marked = home / "marked.wav"
        track = self._session.tracks[0]
        marks = marks_of(self._session.recordings[0], counted_of(self._session, track.clips[0].take))
        write_marks(marked, marks, self._sound, RATE)
        self._marked = marked.read_bytes()
        tune = home / "tune.mid"
        write_marks(tune, marks, self._sound, RATE)
        self._tune = tune.read_bytes()
        groove = next(iter(shipped_grooves()))
        self._grooves: dict[str, bytes] = {}
        for suffix in (".groove.json", ".mid"):
            path = home / f"groove{suffix}"
            write_groove(path, groove)
            self._grooves[suffix] = path.read_bytes()

    def one(self, chance: random.Random) -> None:
        kinds = (
            self._packed,
            self._repacked,
            self._notes,
            self._groove,
            self._markers,
            self._place,
            self._pipe,
        )
        before = touched(self._outside), touched(self._saved)
        self._work = self._copy().parent
        chance.choice(kinds)(chance)
        assert (touched(self._outside), touched(self._saved)) == before, "files were touched outside"
        assert not list(self._home.glob("planted*")), "a file was planted"

    def _unpack(self, path: Path) -> None:
        opened = load_session(unpack(path, self._work / "unpacked"))
        use(opened.history.session)

    def _packed(self, chance: random.Random) -> None:
        path = self._work / "sent.chronotome"
        path.write_bytes(damaged(self._pack, chance))
        self._unpack(path)

    def _repacked(self, chance: random.Random) -> None:
        """A whole archive of what nobody would pack: names, ways of packing, holes, spoiled documents."""
        path = self._work / "sent.chronotome"
        with zipfile.ZipFile(io.BytesIO(self._pack)) as old, zipfile.ZipFile(path, "w") as new:
            for entry in old.infolist():
                data, name = old.read(entry), entry.filename
                if chance.random() < 0.2:
                    name = chance.choice(
                        (name, "../planted", "/planted", "a" * 4000, "audio/\x1b[2J", "CON:")
                    )
                if chance.random() < 0.3:
                    data = spoiled_text(data, chance) if name.endswith(".json") else damaged(data, chance)
                if chance.random() < 0.1:
                    data = bytes(50_000_000)
                new.writestr(
                    name, data, chance.choice((zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED, zipfile.ZIP_BZIP2))
                )
                if chance.random() < 0.05:
                    with warnings.catch_warnings(action="ignore"):
                        new.writestr(name, data)
        self._unpack(path)

    def _notes(self, chance: random.Random) -> None:
        path = self._work / "tune.mid"
        path.write_bytes(self._midi(self._tune, chance))
        for note in read_notes(path):
            assert 0 <= note.beat < 1e9

    def _groove(self, chance: random.Random) -> None:
        suffix = chance.choice(list(self._grooves))
        path = self._work / f"groove{suffix}"
        whole = self._grooves[suffix]
        path.write_bytes(self._midi(whole, chance) if suffix == ".mid" else spoiled_text(whole, chance))
        groove = read_groove(path)
        write_groove(self._work / f"again{suffix}", groove)

    def _midi(self, whole: bytes, chance: random.Random) -> bytes:
        """Damaged, or with so much of one event as nobody plays."""
        if chance.random() < 0.7:
            return damaged(whole, chance)
        event = chance.choice(
            (b"\0\xff\x7f\x00", b"\0\x90\x3c\x40", b"\x01\x3c\x40", b"\xff\xff\xff\x7f\x3c\x40")
        )
        body = b"\0\x90\x3c\x40" + event * chance.choice((10, 10_000, 2_000_000))
        return whole[:14] + b"MTrk" + len(body).to_bytes(4, "big") + body

    def _markers(self, chance: random.Random) -> None:
        """The head is damaged, where chunks of cues, loops and tags say how long they are."""
        path = self._work / "marked.wav"
        sound = self._marked.rfind(b"cue ")
        head, tail = self._marked[:sound], self._marked[sound:]
        path.write_bytes(
            head + damaged(tail, chance) if chance.random() < 0.7 else damaged(self._marked, chance)
        )
        facts_of(path)
        tempo_tag(path)
        read_markers(path)
        for mark in read_marks(path, RATE):
            assert 0 <= mark.seconds < 1e9

    def _place(self, chance: random.Random) -> None:
        """Where a recording should be is something else."""
        folder = self._work / "session"
        for recording in list((folder / "audio").iterdir()):
            recording.unlink()
            self._other_than(recording, chance)
        opened = load_session(folder)
        save_session(self._work / "again", opened.history, opened.places)

    def _pipe(self, chance: random.Random) -> None:
        readers: list[tuple[str, Callable[[Path], object]]] = [
            ("sent.chronotome", self._unpack),
            ("tune.mid", read_notes),
            ("groove.mid", read_groove),
            ("groove.json", read_groove),
            ("marks.txt", lambda path: read_marks(path, RATE)),
            ("marks.csv", lambda path: read_marks(path, RATE)),
            ("marks.mid", lambda path: read_marks(path, RATE)),
            ("take.wav", facts_of),
            ("take.flac", tempo_tag),
            ("journal.jsonl", recover),
            ("folder", load_session),
        ]
        name, read = chance.choice(readers)
        path = self._work / name
        self._other_than(path, chance)
        read(path)

    def _other_than(self, path: Path, chance: random.Random) -> None:
        """Not a file: a pipe nobody writes to, what never ends, a folder, a circle, or nothing."""
        kind = chance.randrange(6)
        if kind == 0:
            os.mkfifo(path)
        elif kind == 1:
            path.symlink_to(chance.choice(("/dev/zero", "/dev/random", "/dev/tty", "/proc/self/mem")))
        elif kind == 2:
            path.mkdir()
        elif kind == 3:
            path.symlink_to(path)
        elif kind == 4:
            os.mkfifo(path.with_suffix(".pipe"))
            path.symlink_to(path.with_suffix(".pipe"))
        else:
            path.write_bytes(b"")


class Windows(Documents):
    """Damaged sessions and fits that can be read, opened in a window and painted in every stage."""

    def __init__(self, home: Path) -> None:
        super().__init__(home)
        from chronotome.ui.application import application, build  # noqa: PLC0415 - only where one is wanted

        application()
        self._raised: list[str] = []
        sys.excepthook = lambda *told: self._raised.append("".join(traceback.format_exception(*told)))
        self._window = build(Settings(), in_process=True, journal=Journal(home / "window-journals"))
        self._window.desk.tasks.error.disconnect()
        self._window.desk.recordings.missing.disconnect()
        self._window.resize(1280, 800)
        self._window.show()

    def one(self, chance: random.Random) -> None:
        from chronotome.ui.application import wait_until_ready  # noqa: PLC0415 - the same
        from chronotome.ui.state.view_state import Stage  # noqa: PLC0415 - the same

        folder, desk = self._copy(), self._window.desk
        document = folder / "session.json"
        whole = document.read_bytes()
        for _ in range(TRIES):
            document.write_bytes(spoiled_text(whole, chance))
            try:
                load_session(folder)
                break
            except ChronotomeError:
                continue
        desk.document.open_session(folder, as_copy=True)
        wait_until_ready(self._window)
        for stage in Stage:
            desk.view.show_stage(stage)
            for zoom in (1.0, 30.0):
                desk.view.sight.fit()
                desk.view.sight.zoom(zoom, 300)
                self._window.grab()
        if desk.session.tracks:
            desk.store.apply(lambda s: set_tighten(s, s.tracks[0].id, strength=0.5), "Tighten")
            desk.store.undo()
        if self._raised:
            raised, self._raised[:] = list(self._raised), []
            raise RuntimeError(raised[0])


def use(session: Session) -> None:
    """What the window works out of a session before it paints."""
    plan_for(session)
    for track in session.tracks:
        checks = [checks_of(session, track), fit_checks_of(session, track), mark_checks_of(session, track)]
        assert all(str(each) for found in checks for each in found[:3])
        for clip in track.clips:
            beats = beats_of(session, clip.take)
            assert beats is None or np.isfinite(beats.seconds).all()


KINDS: dict[str, type[Sounds | Documents]] = {
    "sounds": Sounds,
    "documents": Documents,
    "windows": Windows,
    "exchanged": Exchanged,
}


def work(kind: str, seed: int, first: int, count: int) -> None:
    speak_alone()
    home = isolate()
    cases = KINDS[kind](home)
    print("ready", flush=True)
    for number in range(first, count):
        try:
            cases.one(random.Random(f"{seed}-{number}"))
            told = "read"
        except ChronotomeError as error:
            told = (
                "refused" if "\n" not in str(error) and len(str(error)) < 800 else f"long: {str(error)[:300]}"
            )
        except Exception:  # noqa: BLE001 - any is what is looked for
            told = "raised: " + traceback.format_exc()[-1500:]
        print(json.dumps([number, told]), flush=True)
    print(resource.getrusage(resource.RUSAGE_SELF).ru_maxrss // 1024, flush=True)
    shutil.rmtree(home, ignore_errors=True)


def attack(kind: str, count: int, seed: int) -> Counter[str]:
    """Every case in a worker that is started anew where it hangs or dies."""
    found: Counter[str] = Counter()
    first = 0
    while first < count:
        with tempfile.TemporaryFile() as noise:
            command = [sys.executable, "-m", "bench.attack", "work", kind, str(seed), str(first), str(count)]
            child = subprocess.Popen(command, stdout=subprocess.PIPE, stderr=noise, text=True)
            lines: Queue[str] = Queue()
            threading.Thread(target=_read, args=(child, lines), daemon=True).start()
            assert lines.get(timeout=120) == "ready\n"
            while first < count:
                try:
                    line = lines.get(timeout=LONGEST_SECONDS)
                except Empty:
                    line = "hang"
                if not line.startswith("["):
                    _count(found, first, "hang" if line == "hang" else f"died: signal {-(child.wait() or 0)}")
                    first += 1
                    child.kill()
                    break
                number, told = json.loads(line)
                _count(found, number, told)
                first = number + 1
            else:
                found["MB at most"] = max(found["MB at most"], int(lines.get(timeout=LONGEST_SECONDS)))
            child.wait()
            noise.seek(0)
            said = noise.read().splitlines()
            found["lines on stderr"] += len(said)
            print(
                *(line.decode(errors="replace") for line in said[:5]), sep="\n", end="" if not said else "\n"
            )
    return found


def _read(child: "subprocess.Popen[str]", lines: "Queue[str]") -> None:
    assert child.stdout is not None
    for line in child.stdout:
        lines.put(line)
    lines.put("")


def _count(found: Counter[str], number: int, told: str) -> None:
    kind = told.partition(":")[0]
    found[kind] += 1
    if kind not in {"read", "refused"}:
        print(f"case {number}: {told}", flush=True)


def main() -> None:
    words = sys.argv[1:]
    if words and words[0] == "work":
        work(words[1], *(int(word) for word in words[2:]))
        return
    kind = words[0] if words else "documents"
    count = int(words[1]) if len(words) > 1 else COUNTS[kind]
    seed = int(words[2]) if len(words) > 2 else 1
    found = attack(kind, count, seed)
    print(
        f"{count} {kind}, seed {seed}: "
        + ", ".join(f"{name} {number}" for name, number in sorted(found.items()))
    )


if __name__ == "__main__":
    main()
