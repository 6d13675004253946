/*
 * Stands in for an infrared device, so that the encoder of the Linux remote-control tools can be asked what it would
 * send: prints the carrier, then marks (+) and spaces (-) in microseconds. Built by IrCtlTest, loaded with LD_PRELOAD.
 */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <linux/lirc.h>
#include <stdarg.h>
#include <stdint.h>
#include <stdio.h>
#include <string.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <sys/sysmacros.h>
#include <sys/types.h>
#include <unistd.h>

static int device = -1;

static int opened(const char *path, int flags, mode_t mode)
{
    static int (*real)(const char *, int, ...);
    if (real == NULL) {
        *(void **)&real = dlsym(RTLD_NEXT, "open");
    }
    if (strcmp(path, "/dev/lirc-stand-in") == 0) {
        device = real("/dev/null", O_RDWR);
        return device;
    }
    return real(path, flags, mode);
}

int open(const char *path, int flags, ...)
{
    va_list list;
    va_start(list, flags);
    mode_t mode = (flags & O_CREAT) != 0 ? va_arg(list, mode_t) : 0;
    va_end(list);
    return opened(path, flags, mode);
}

int open64(const char *path, int flags, ...)
{
    va_list list;
    va_start(list, flags);
    mode_t mode = (flags & O_CREAT) != 0 ? va_arg(list, mode_t) : 0;
    va_end(list);
    return opened(path, flags, mode);
}

int __open_2(const char *path, int flags)
{
    return opened(path, flags, 0);
}

int __open64_2(const char *path, int flags)
{
    return opened(path, flags, 0);
}

int ioctl(int fd, unsigned long request, ...)
{
    va_list list;
    va_start(list, request);
    uint32_t *argument = va_arg(list, uint32_t *);
    va_end(list);
    if (fd != device || device < 0) {
        static int (*real)(int, unsigned long, ...);
        if (real == NULL) {
            *(void **)&real = dlsym(RTLD_NEXT, "ioctl");
        }
        return real(fd, request, argument);
    }
    if (request == LIRC_GET_FEATURES) {
        *argument = LIRC_CAN_SEND_PULSE | LIRC_CAN_SET_SEND_CARRIER;
    } else if (request == LIRC_SET_SEND_CARRIER) {
        printf("carrier %u\n", *argument);
    }
    if (request == LIRC_SET_SEND_MODE && *argument != LIRC_MODE_PULSE) {
        errno = EINVAL;
        return -1;
    }
    return 0;
}

ssize_t write(int fd, const void *buffer, size_t count)
{
    if (fd == device && device >= 0) {
        const uint32_t *lengths = buffer;
        for (size_t at = 0; at < count / sizeof *lengths; at++) {
            printf("%s%u", at % 2 == 0 ? "+" : " -", lengths[at]);
            if (at % 2 == 1) {
                printf(" ");
            }
        }
        printf("\n");
        fflush(stdout);
        return (ssize_t)count;
    }
    static ssize_t (*real)(int, const void *, size_t);
    if (real == NULL) {
        *(void **)&real = dlsym(RTLD_NEXT, "write");
    }
    return real(fd, buffer, count);
}
