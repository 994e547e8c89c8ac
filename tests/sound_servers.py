"""Real sound servers without hardware, each in a folder of its own, and what other programs do on them."""

import contextlib
import json
import os
import shutil
import signal
import subprocess
import sys
import time
from pathlib import Path

import numpy as np

RATE, PERIOD = 48000, 2048
"""Larger than people choose: machines of tests stall."""
START_SECONDS = 60.0
LIBRARIES = Path("/usr/lib") / f"{os.uname().machine}-linux-gnu"
PIPEWIRE_JACK = LIBRARIES / "pipewire-0.3" / "jack"
BESIDE = Path(__file__).resolve().parent.parent / ".pipewire-alsa"
"""Where `.ci/run` unpacks ALSA's plugin for PipeWire: as a package it does not go with PulseAudio's."""
ALSA = """</usr/share/alsa/alsa.conf>
pcm_type.pipewire {{ lib "{plugin}" }}
pcm.!default {{ type plug slave.pcm {{ type {device} }} }}
"""
PULSE_SINK = f"module-null-sink sink_name=out rate={RATE} format=float32le channels=2"
PULSE = [
    "pulseaudio",
    "-n",
    "--daemonize=no",
    "--exit-idle-time=-1",
    "--use-pid-file=no",
    "--realtime=no",
    "-L",
    "module-native-protocol-unix",
    "-L",
    PULSE_SINK,
]
PIPEWIRE = f"""pipewire & sleep 0.5; wireplumber & pipewire-pulse & sleep 1.5
for _ in 1 2 3 4 5 6; do pactl load-module {PULSE_SINK} && break; sleep 0.5; done
pw-metadata -n settings 0 clock.force-quantum {PERIOD}; wait"""
KINDS = ("pulse", "pipewire-pulse", "pipewire-alsa", "pipewire-jack", "jackd")


def missing(kind):
    """Why a server cannot be tried here; empty where it can."""
    programs = {"pulse": ["pulseaudio", "parec", "pactl"], "jackd": ["jackd", "jack_lsp"]}.get(
        kind, ["pipewire", "pipewire-pulse", "wireplumber", "dbus-run-session", "pactl", "parec"]
    )
    absent = [each for each in programs if shutil.which(each) is None]
    device = alsa_device(kind)
    if device and not plugin(device):
        absent.append(f"ALSA's plugin for {device}")
    if kind == "pipewire-jack" and not PIPEWIRE_JACK.exists():
        absent.append("pipewire-jack")
    return ", ".join(absent)


def alsa_device(kind):
    """What ALSA's default leads to, if anything."""
    return {"pulse": "pulse", "pipewire-pulse": "pulse", "pipewire-alsa": "pipewire"}.get(kind, "")


def plugin(device):
    name = f"libasound_module_pcm_{device}.so"
    return next((path for root in (LIBRARIES / "alsa-lib", BESIDE) for path in root.rglob(name)), None)


class Server:
    """One kind of server; `environment` is what programs need that are to find it."""

    def __init__(self, kind, folder, *, rate=RATE, period=PERIOD, name="alone"):
        self.kind, self.folder, self.rate, self.period = kind, Path(folder), rate, period
        self.is_jack = kind in {"pipewire-jack", "jackd"}
        runtime = self.folder / "run"
        runtime.mkdir(parents=True, exist_ok=True)
        runtime.chmod(0o700)
        device = alsa_device(kind) or "null"
        alsa = self.folder / "alsa.conf"
        alsa.write_text(ALSA.format(device=device, plugin=plugin("pipewire")))
        self.environment = {
            "XDG_RUNTIME_DIR": str(runtime),
            "PULSE_SERVER": f"unix:{runtime}/pulse/native",
            "ALSA_CONFIG_PATH": str(alsa),
            "JACK_DEFAULT_SERVER": f"chronotome-{name}-" + os.environ.get("PYTEST_XDIST_WORKER", ""),
            "JACK_NO_AUDIO_RESERVATION": "1",
            "JACK_NO_START_SERVER": "1",
            "LD_LIBRARY_PATH": str(PIPEWIRE_JACK) if kind == "pipewire-jack" else "",
        }
        self._process = None
        self._children = []

    @property
    def output(self):
        return "JACK" if self.is_jack else "auto"

    def start(self):
        if self.kind == "jackd":
            name = self.environment["JACK_DEFAULT_SERVER"]
            command = [
                "jackd",
                "-n",
                name,
                "-r",
                "-d",
                "dummy",
                "-r",
                str(self.rate),
                "-p",
                str(self.period),
            ]
        elif self.kind == "pulse":
            command = PULSE
        else:
            command = ["dbus-run-session", "--", "sh", "-c", PIPEWIRE]
        with (self.folder / "server.log").open("ab") as log:
            self._process = subprocess.Popen(
                command, env=self._whole, stdout=log, stderr=log, start_new_session=True
            )
        until(self._answers, START_SECONDS)

    @property
    def _whole(self):
        return {**os.environ, **self.environment}

    def _answers(self):
        if self.kind == "jackd":
            return b"system:" in self._said(["jack_lsp"])
        return b"\tout\t" in self._said(["pactl", "list", "short", "sinks"])

    def _said(self, command):
        return subprocess.run(command, env=self._whole, capture_output=True, check=False).stdout

    def kill(self):
        """As a crash does it."""
        os.killpg(self._process.pid, signal.SIGKILL)
        self._process.wait()

    def pause(self):
        """It hangs: it is there, and does not answer."""
        os.killpg(self._process.pid, signal.SIGSTOP)

    def go_on(self):
        os.killpg(self._process.pid, signal.SIGCONT)

    def close(self):
        for child in self._children:
            child.close()
        if self._process is not None and self._process.poll() is None:
            self.go_on()
            os.killpg(self._process.pid, signal.SIGTERM)  # JACK keeps a list of eight servers: it leaves it
            with contextlib.suppress(subprocess.TimeoutExpired):
                self._process.wait(2.0)
            with contextlib.suppress(ProcessLookupError):
                self.kill()

    def recorder(self, name="main"):
        """What sounds, from now on; on JACK from the outputs of a name."""
        made = JackRecorder(self, name) if self.is_jack else PulseRecorder(self)
        self._children.append(made)
        return made

    def peer(self):
        """Another program on a JACK server."""
        made = Peer(self)
        self._children.append(made)
        return made


class PulseRecorder:
    def __init__(self, server):
        self._path = server.folder / f"heard{time.monotonic_ns()}.raw"
        command = ["parec", "--device=out.monitor", "--format=float32le", f"--rate={RATE}", "--channels=2"]
        with self._path.open("wb") as file:
            self._process = subprocess.Popen(
                [*command, "--raw", "--latency-msec=50"], env=server._whole, stdout=file
            )
        time.sleep(0.8)

    def end(self):
        """float32, (frames, 2)."""
        self.close()
        heard = np.fromfile(self._path, np.float32)
        return heard[: len(heard) // 2 * 2].reshape(-1, 2)

    def close(self):
        self._process.terminate()
        self._process.wait()


class JackRecorder:
    """What was left out is silent: each frame is where the server's counter had it, from `first` on."""

    def __init__(self, server, name):
        self._peer = Peer(server, name="recorder")
        self._path = server.folder / f"heard{time.monotonic_ns()}.raw"
        for side in ("left", "right"):
            self._peer.ask("connect", f"Chronotome:{name} {side}", f"recorder:in {side}")
        self._peer.ask("record", str(self._path))

    def end(self):
        self.first = self._peer.ask("end")
        self.close()
        return np.fromfile(self._path, np.float32).reshape(-1, 2)

    def close(self):
        self._peer.close()


class Peer:
    """`tests/jack_peer.py` in a process of its own, asked line by line."""

    def __init__(self, server, name="peer"):
        self._process = subprocess.Popen(
            [sys.executable, str(Path(__file__).with_name("jack_peer.py")), name],
            env=server._whole,
            stdin=subprocess.PIPE,
            stdout=subprocess.PIPE,
            text=True,
        )
        self.ask("frames")

    def ask(self, *words):
        """What it answers."""
        self._process.stdin.write(json.dumps(words) + "\n")
        self._process.stdin.flush()
        answer = json.loads(self._process.stdout.readline())
        assert "error" not in answer, answer["error"]
        return answer["value"]

    def close(self):
        self._process.stdin.close()  # it leaves: a server waits for one that is killed
        try:
            self._process.wait(2.0)
        except subprocess.TimeoutExpired:
            self._process.kill()
            self._process.wait()
        self._process.stdout.close()


def until(condition, seconds=30.0, pause=0.02):
    """Seconds until it is so."""
    began = time.monotonic()
    while not condition():
        assert time.monotonic() - began < seconds, "it did not happen"
        time.sleep(pause)
    return time.monotonic() - began


def numbered(frames):
    """Frames that say which they are, exact in float32: (frames, 2)."""
    number = np.arange(frames)
    return np.stack([number % 32768 / 32768, (number // 32768 + 1) / 32768], 1).astype(np.float32)


def numbers(heard):
    """Which frames were heard, in order, without what was silent before and after them."""
    sounding = np.flatnonzero(heard[:, 1])
    if not len(sounding):
        return np.zeros(0, np.int64)
    heard = np.rint(heard[sounding[0] : sounding[-1] + 1].astype(np.float64) * 32768).astype(np.int64)
    return heard[:, 0] + 32768 * (heard[:, 1] - 1)


def clicks(heard, level=0.15, apart=2000):
    """Frames at which something began."""
    at = np.flatnonzero(np.abs(heard[:, 0]) > level)
    return at[np.diff(at, prepend=-apart * 2) > apart]
