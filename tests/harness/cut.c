/* A file layer for power cuts, laid under the server with LD_PRELOAD. It writes down what each write to the database replaced and
   what it put there, and when the file was synced; after the process was killed, powerCut.mjs takes back, keeps or tears what was
   not synced, as a disk without power may. CUT_FILES is the beginning of the files' paths, CUT_LOG where it writes down, CUT_AFTER
   at which write the power goes: most writes are synced at once, and a cut at a moment of its own would hit few that are not.
   While the file CUT_FULL is there, the disk is full: nothing more can be written to the database. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <pthread.h>
#include <signal.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/stat.h>
#include <sys/types.h>
#include <unistd.h>

static pthread_mutex_t lock = PTHREAD_MUTEX_INITIALIZER;
static int out = -1;
static const char *files;
static const char *full;
static long left;

static ssize_t (*real_pwrite)(int, const void *, size_t, off_t);
static ssize_t (*real_write)(int, const void *, size_t);
static int (*real_fsync)(int);
static int (*real_fdatasync)(int);
static int (*real_ftruncate)(int, off_t);

static void ready(void) {
  if (real_pwrite) return;
  real_write = dlsym(RTLD_NEXT, "write");
  real_fsync = dlsym(RTLD_NEXT, "fsync");
  real_fdatasync = dlsym(RTLD_NEXT, "fdatasync");
  real_ftruncate = dlsym(RTLD_NEXT, "ftruncate64");
  files = getenv("CUT_FILES");
  full = getenv("CUT_FULL");
  if (files && getenv("CUT_LOG")) out = open(getenv("CUT_LOG"), O_WRONLY | O_CREAT | O_APPEND | O_CLOEXEC, 0600);
  left = getenv("CUT_AFTER") ? atol(getenv("CUT_AFTER")) : 0;
  real_pwrite = dlsym(RTLD_NEXT, "pwrite64");
}

/* The name of the file in the folder; 0 where it is none of ours. */
static int ours(int fd, char *name, size_t room) {
  char link[64];
  ready();
  if (out < 0 || fd == out) return 0;
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t length = readlink(link, name, room - 1);
  if (length <= 0) return 0;
  name[length] = 0;
  /* What all share in memory is made anew after a cut. */
  return strncmp(name, files, strlen(files)) == 0 && !strstr(name, "-shm");
}

/* type, length of name, offset, length before, length now; then name, bytes before, bytes now. */
static void note(char type, const char *name, off_t at, const void *before, size_t was, const void *now, size_t is) {
  uint32_t sizes[3] = {(uint32_t)strlen(name), (uint32_t)was, (uint32_t)is};
  uint64_t offset = (uint64_t)at;
  size_t total = 1 + sizeof sizes + sizeof offset + sizes[0] + was + is;
  char *record = malloc(total), *to = record;
  *to++ = type;
  memcpy(to, sizes, sizeof sizes), to += sizeof sizes;
  memcpy(to, &offset, sizeof offset), to += sizeof offset;
  memcpy(to, name, sizes[0]), to += sizes[0];
  if (was) memcpy(to, before, was), to += was;
  if (is) memcpy(to, now, is);
  if (real_write(out, record, total) != (ssize_t)total) abort();
  free(record);
  if (type != 'S' && left > 0 && --left == 0) raise(SIGKILL);
}

static void before_write(int fd, const char *name, const void *bytes, size_t length, off_t at) {
  char *old = malloc(length ? length : 1);
  ssize_t was = pread(fd, old, length, at);
  note('W', name, at, old, was > 0 ? (size_t)was : 0, bytes, length);
  free(old);
}

static int no_room(void) {
  if (!full || access(full, F_OK) != 0) return 0;
  errno = ENOSPC;
  return 1;
}

ssize_t pwrite64(int fd, const void *bytes, size_t length, off_t at) {
  char name[4096];
  if (!ours(fd, name, sizeof name)) return real_pwrite(fd, bytes, length, at);
  if (no_room()) return -1;
  pthread_mutex_lock(&lock);
  before_write(fd, name, bytes, length, at);
  ssize_t written = real_pwrite(fd, bytes, length, at);
  pthread_mutex_unlock(&lock);
  return written;
}

ssize_t pwrite(int fd, const void *bytes, size_t length, off_t at) { return pwrite64(fd, bytes, length, at); }

ssize_t write(int fd, const void *bytes, size_t length) {
  char name[4096];
  if (!ours(fd, name, sizeof name)) return real_write(fd, bytes, length);
  if (no_room()) return -1;
  pthread_mutex_lock(&lock);
  before_write(fd, name, bytes, length, lseek(fd, 0, SEEK_CUR));
  ssize_t written = real_write(fd, bytes, length);
  pthread_mutex_unlock(&lock);
  return written;
}

static int synced(int fd, int (*real)(int)) {
  char name[4096];
  if (!ours(fd, name, sizeof name)) return real(fd);
  pthread_mutex_lock(&lock);
  int result = real(fd);
  if (result == 0) note('S', name, 0, 0, 0, 0, 0);
  pthread_mutex_unlock(&lock);
  return result;
}

int fsync(int fd) { ready(); return synced(fd, real_fsync); }

int fdatasync(int fd) { ready(); return synced(fd, real_fdatasync); }

int ftruncate64(int fd, off_t length) {
  char name[4096];
  if (!ours(fd, name, sizeof name)) return real_ftruncate(fd, length);
  pthread_mutex_lock(&lock);
  struct stat is;
  if (fstat(fd, &is) == 0 && is.st_size > length) {
    size_t rest = (size_t)(is.st_size - length);
    char *old = malloc(rest);
    ssize_t was = pread(fd, old, rest, length);
    note('T', name, length, old, was > 0 ? (size_t)was : 0, 0, 0);
    free(old);
  }
  int result = real_ftruncate(fd, length);
  pthread_mutex_unlock(&lock);
  return result;
}

int ftruncate(int fd, off_t length) { return ftruncate64(fd, length); }
